import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import type { Method } from '../contract';
import { findMethod } from '../registry';

const METHOD = findMethod('site-factor') as Method;

function compute(pairs: readonly Readonly<Record<string, string>>[], system: 'US' | 'SI' = 'SI') {
  const { input } = usableInput(METHOD, {
    system,
    weathering: 'II',
    moisture: 'received',
    madeAt: '2031-06-20T15:10:00-04:00',
    pairs: pairs.map((pair, place) => ({ core: `C${place + 1}`, ...pair })),
  });
  return METHOD.compute(input, {});
}
const pairsOf = (indices: string, strengths: string) => {
  const ys = strengths.split(' ');
  return indices.split(' ').map((index, place) => ({ index, strength: ys[place] ?? '' }));
};
const value = (outcome: ReturnType<typeof compute>, quantity: string): number =>
  Number(outcome.results.find((result) => result.quantity === quantity)?.value);
const ids = (outcome: ReturnType<typeof compute>): string[] => outcome.findings.map(({ id }) => id);

describe('the factor of a site', () => {
  // A regression through the origin, worked by hand: K = 3649.3 / 162.97, t(9) = 2.262.
  const ten = pairsOf('1.8 2.3 2.9 3.1 3.6 4.0 4.4 4.9 5.3 6.0', '36 55 60 72 77 96 90 112 116 140');
  it('is the line through the origin, with its scatter and interval', () => {
    const outcome = compute(ten);
    expect(value(outcome, 'site factor')).toBeCloseTo(22.392, 3);
    expect(value(outcome, 'scatter')).toBeCloseTo(5.09, 3);
    expect(value(outcome, 'sum of squares')).toBeCloseTo(162.97, 6);
    expect(value(outcome, 'half interval')).toBeCloseTo(0.902, 3);
    expect(value(outcome, 'pairs')).toBe(10);
    expect(outcome.lines.find(({ symbol }) => symbol === 'r')?.rounded).toBe('22.17');
    expect(outcome.lines.find(({ symbol }) => symbol === 'R2')).toMatchObject({
      rounded: '0.976',
      name: expect.stringContaining('y = -3.63 + 23.25 x'),
    });
    expect(ids(outcome)).toEqual([]);
  });
  it('is provisional below ten pairs and none below five', () => {
    expect(ids(compute(ten.slice(0, 7)))).toEqual(['site-factor.wanted']);
    expect(compute(ten.slice(0, 7)).results[0]?.provisional).toBe('7 of 10 pairs');
    expect(compute(ten).results[0]?.provisional).toBeUndefined();
    const four = compute(ten.slice(2, 6));
    expect(four.findings[0]).toMatchObject({ id: 'site-factor.fewest', severity: 'invalid' });
    expect(compute([]).results).toEqual([]);
  });
  it('leaves a pair out only with its reason, and tells it', () => {
    const out = compute([...ten, { index: '3.0', strength: '140', leftOut: 'core split along a vein' }]);
    expect(value(out, 'pairs')).toBe(10);
    expect(out.findings).toMatchObject([
      { id: 'site-factor.left-out', remark: 'Pairs left out: C11, core split along a vein.' },
    ]);
    expect(ids(compute([...ten, { index: '3.0', strength: '140' }]))).toContain('site-factor.off');
  });
  it('looks up where columns are swapped, the pairs are alike, or lie apart', () => {
    expect(
      ids(
        compute(ten.map(({ index, strength }) => ({ index: '20', strength: index + strength.slice(0, 0) }))),
      ),
    ).toContain('site-factor.usual');
    expect(ids(compute(pairsOf('3.0 3.1 3.2 3.3 3.4 3.5', '66 70 72 73 77 79')))).toContain(
      'site-factor.span',
    );
    expect(ids(compute(ten.map((pair) => ({ ...pair, apart: '0.7 m' }))))).toContain('site-factor.apart');
    expect(ids(compute(ten.map((pair) => ({ ...pair, apart: '0.5 m' }))))).not.toContain('site-factor.apart');
  });
  it('is the same in the other system', () => {
    const us = compute(
      ten.map(({ index, strength }) => ({
        index: (Number(index) * 145.0377).toFixed(3),
        strength: (Number(strength) * 145.0377).toFixed(2),
      })),
      'US',
    );
    expect(value(us, 'site factor')).toBeCloseTo(22.392, 3);
  });
});
