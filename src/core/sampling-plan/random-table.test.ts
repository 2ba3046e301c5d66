import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { drawPositions } from './draw';
import { randomNumbers } from './random-table';

describe('random numbers of a table', () => {
  it.each([
    ['0.371 0.862 0.054', ['0.371', '0.862', '0.054']],
    ['.371\n.862\n.054\n', ['0.371', '0.862', '0.054']],
    ['random\n0.371;0.862', ['0.371', '0.862']],
    ['0,371; 0,862', ['0.371', '0.862']],
    ['0.371,0.862', ['0.371', '0.862']],
    ['0 0.999', ['0', '0.999']],
  ])('%j', (text, numbers) => {
    expect(randomNumbers(text)).toEqual({ numbers });
  });
  it.each([
    ['1.2', /1.2 is no random number/],
    ['1.0', /1.0 is no random number/],
    ['0.3 371', /371 is no random number/],
    ['-0.2', /-0.2/],
    ['', /No number found/],
    ['random numbers', /No number found/],
  ])('%j is refused', (text, problem) => {
    expect(randomNumbers(text)).toEqual({ problem: expect.stringMatching(problem) });
  });
  it('never throws, and gives nothing outside 0 up to 1', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = randomNumbers(text);
        if ('numbers' in read) for (const number of read.numbers) expect(Number(number)).toBeLessThan(1);
      }),
    );
  });
  // ASTM D3665 (from memory): position = (i − 1 + R) V / n; worked by hand for 310 yd³ in three parts.
  it('draws the places that they say', () => {
    const draws = drawPositions(3, exact('310'), 1, ['0.371', '0.862', '0.054']);
    expect(draws.map(({ position }) => position)).toEqual(['38.34', '192.41', '212.25']);
  });
});
