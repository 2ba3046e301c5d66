import { describe, expect, it } from 'vitest';
import type { VerdictState } from '../acceptance/criterion';
import type { SampleOfLot } from '../material/contract';
import { afterRetest, type BesideSamples } from './retest';

const sample = (draw: string, ...states: VerdictState[]): SampleOfLot => ({
  label: draw,
  about: { draw },
  results: [],
  found: {},
  verdicts: states.map((state, place) => ({ title: `Row ${place}`, state, method: 'unit-compression' })),
  tested: [],
});
const stand = (samples: readonly SampleOfLot[], over: Partial<BesideSamples> = {}) =>
  afterRetest(samples, { missing: () => [], ...over });

// ASTM C90, their common clause on retests (from memory): one retest, and no more.
describe('how a delivery stands', () => {
  it.each([
    [[], undefined, undefined],
    [[['first']], undefined, undefined],
    [[['first', 'meets']], 'meets', 'Every row'],
    [[['first', 'meets', 'not yet determinable']], 'not yet determinable', 'row 1, first'],
    [[['first', 'meets', 'needs decision']], 'not yet determinable', 'row 1, first'],
    [[['first', 'meets', 'does not meet']], 'does not meet', 'draws a second set'],
    [
      [
        ['first', 'does not meet'],
        ['second', 'meets'],
      ],
      'meets',
      'what is left of the delivery conforms',
    ],
    [
      [
        ['first', 'does not meet'],
        ['second', 'not yet determinable'],
      ],
      'not yet determinable',
      'row 0, second',
    ],
    [
      [
        ['first', 'does not meet'],
        ['second', 'does not meet'],
      ],
      'does not meet',
      'There is no third',
    ],
    [
      [
        ['first', 'meets'],
        ['first', 'meets'],
      ],
      'meets',
      'Every row',
    ],
    [
      [
        ['first', 'meets'],
        ['first', 'does not meet'],
      ],
      'does not meet',
      'draws a second set',
    ],
  ] as const)('%j: %s', (samples, state, words) => {
    const found = stand(samples.map(([draw, ...states]) => sample(draw, ...(states as VerdictState[]))));
    expect(found?.state).toBe(state);
    if (words) expect(found?.sentence).toContain(words);
  });
  it('never meets while something that is asked for has no result, nor against another report', () => {
    const good = [sample('first', 'meets')];
    expect(stand(good, { missing: () => ['shrinkage'] })).toMatchObject({
      state: 'not yet determinable',
      sentence: 'Undecided while there is no result of shrinkage.',
    });
    expect(stand(good, { bad: 'it shrinks' })).toMatchObject({ state: 'does not meet' });
    // What failed already fails, whatever is still to come.
    expect(stand([sample('first', 'does not meet')], { missing: () => ['shrinkage'] })?.state).toBe(
      'does not meet',
    );
  });
  it('looks at the verdicts that count, and tells the deciding sample to who asks what is missing', () => {
    const waived = stand([sample('first', 'does not meet', 'meets')], {
      counts: ({ title }) => title !== 'Row 0',
    });
    expect(waived?.state).toBe('meets');
    const asked: string[][] = [];
    const missing = (deciding: readonly SampleOfLot[]) => {
      asked.push(deciding.map(({ label }) => label));
      return [];
    };
    stand([sample('first', 'does not meet'), sample('second', 'meets')], { missing });
    expect(asked).toEqual([['second']]);
  });
});
