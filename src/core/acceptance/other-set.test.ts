import { evaluate } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { Limits, type Profile } from '../limits';
import { exact, type RoundingMode } from '../quantity';
import { type OtherKind, otherSet } from './other-set';

const about = (system: 'US' | 'SI', profile: Profile = 'astm', mode: RoundingMode = 'half-even') => ({
  system,
  limits: new Limits({}, 0, profile),
  mode,
});
const PRINTED: readonly [OtherKind, readonly string[], string | undefined, ReturnType<typeof about>][] = [
  ['core', ['3518.4', '3371.2', '3482.6'], '3850', about('US')],
  ['core', ['26.41', '24.02', '25.5'], '28', about('SI')],
  ['cube', ['36.11', '35.2', '37.04'], undefined, about('SI', 'en')],
  ['cube', ['31.4', '29.8', '30.9'], undefined, about('SI', 'is')],
  ['grout prism', ['2652.1', '2710.8', '2480.3'], '2000', about('US')],
  ['mortar cube', ['4712.5', '4801.2', '4655'], undefined, about('US')],
];

describe('the working of a set', () => {
  it.each(PRINTED)('of %s %j is what was computed', (kind, strengths, asked, given) => {
    const { lines } = otherSet(kind, strengths, asked === undefined ? undefined : exact(asked), given);
    expect(lines.length).toBeGreaterThanOrEqual(2);
    for (const line of lines) {
      const again = Number(evaluate(line.substituted));
      expect(again / Number(line.value), line.name).toBeCloseTo(1, 9);
      expect(line.source, line.name).not.toBe('');
    }
  });
  it('has the mean that is printed, by the project’s rounding', () => {
    const strengths = ['2640', '2650'];
    expect(otherSet('grout prism', strengths, undefined, about('US')).text).toBe('2,640');
    const up = otherSet('grout prism', strengths, undefined, about('US', 'astm', 'half-up'));
    expect(up.text).toBe('2,650');
    expect(up.lines[0]?.rounded).toBe('2,650');
    const cubes = otherSet('cube', ['30.1', '30.2'], undefined, about('SI', 'en', 'half-up'));
    expect([cubes.text, cubes.lines[0]?.rounded]).toEqual(['30.2', '30.2']);
    expect(otherSet('cube', ['30.1', '30.2'], undefined, about('SI', 'en')).text).toBe('30.2');
    expect(otherSet('cube', ['30.1', '30.0'], undefined, about('SI', 'en')).text).toBe('30.0');
  });
});

describe('cores', () => {
  const cores = (strengths: readonly string[], asked: string | null = '4000') =>
    otherSet('core', strengths, asked === null ? undefined : exact(asked), about('US'));
  // ACI 318 26.12.6 (from memory): the mean at least 85 % of f′c, none below 75 %.
  it('print no mean as a strength: their rule is another', () => {
    const set = cores(['3518', '3371', '3482']);
    expect(set.text).toBeNull();
    expect(set.note).toContain('The arithmetic meets the rule.');
    expect(set.lines.map(({ symbol, rounded }) => [symbol, rounded])).toEqual([
      ['x', '3,460'],
      ['x_least', '3400'],
      ['f_least', '3000'],
    ]);
  });
  it('wait for the third', () => {
    expect(cores(['3518', '3371'])).toMatchObject({ note: '2 of 3 cores tested.', lines: [] });
  });
  it('say nothing where nothing is asked for', () => {
    expect(cores(['3518', '3371', '3482'], null)).toMatchObject({ note: undefined, lines: [] });
  });
});

describe('mortar cubes', () => {
  const cubes = (...strengths: string[]) => otherSet('mortar cube', strengths, undefined, about('US'));
  it('work out only those that count', () => {
    // ASTM C109 (from memory): of three beyond 8.7 % the farthest goes, when the others agree within 7.6 %.
    const set = cubes('4000', '4700', '4740');
    expect(set.used).toEqual([1, 2]);
    expect(set.lines[0]?.substituted).toBe('(4700 + 4740) / 2');
    expect(set.text).toBe('4,720');
  });
  it('show their working when there is nothing to report, too', () => {
    const set = cubes('4000', '4700', '5400');
    expect(set.text).toBeNull();
    expect(set.lines.length).toBe(2);
  });
  it('have no set of one', () => {
    expect(cubes('4700')).toEqual({ text: null, note: undefined, used: [0], lines: [] });
    expect(cubes()).toEqual({ text: null, note: undefined, used: [], lines: [] });
  });
});

describe('split cylinders', () => {
  const split = (...strengths: string[]) => otherSet('split cylinder', strengths, undefined, about('US'));
  // ASTM C496 (from memory): two of one sample within 14 % of their mean; strength to 5 psi.
  it.each([
    [['430', '494'], '460', '13.85 %', false],
    [['430', '500'], '465', '15.05 %', true],
    [['412.4', '431.2'], '420', '4.46 %', false],
  ])('%j', (strengths, text, range, beyond) => {
    const set = split(...strengths);
    expect(set.text).toBe(text);
    expect(set.note).toContain(range);
    expect(set.note?.includes('Investigate')).toBe(beyond);
    expect(set.lines.map(({ symbol }) => symbol)).toEqual(['x', 'w']);
  });
  it('compares the range unrounded: 14.04 % is beyond', () => {
    expect(split('430', '494.9').note).toContain('Investigate');
  });
  it('say nothing alone, and of three only how far they lie apart', () => {
    expect(split('430')).toEqual({ text: null, note: undefined, used: [0], lines: [] });
    expect(split('430', '440', '600').note).toContain('the rule is for two');
  });
});
