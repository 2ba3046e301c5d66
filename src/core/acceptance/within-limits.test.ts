import fc from 'fast-check';
import { evaluate as again } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { SERIES } from '../materials/concrete/series';
import { exact } from '../quantity';
import { Sheet, standard } from '../working';
import { evaluateSeries, type SeriesPoint, seriesAsked } from '.';
import { shareWithin } from './within-limits';

const SOURCE = standard('A made-up document');
const shareOf = (values: readonly (number | string)[], lower: number) => {
  const sheet = new Sheet('half-even');
  const share = shareWithin(values.map(exact), exact(lower), { sheet, unit: 'psi', source: SOURCE });
  return { share: share.toNumber(), lines: sheet.lines };
};
/** Results whose mean is 0 and whose deviation is 1, so that a limit at −Q has the quality index Q. */
const STANDARD: Readonly<Record<number, readonly number[]>> = {
  3: [-1, 0, 1],
  4: [-Math.sqrt(1.5), 0, 0, Math.sqrt(1.5)],
  5: [-Math.SQRT2, 0, 0, 0, Math.SQRT2],
  6: [-Math.sqrt(2.5), 0, 0, 0, 0, Math.sqrt(2.5)],
  8: [-Math.sqrt(3.5), 0, 0, 0, 0, 0, 0, Math.sqrt(3.5)],
};

/** The share of a symmetric beta distribution below x, by Simpson over t = sin² θ: no library, no closed form. */
function belowBeta(x: number, shape: number): number {
  const f = (angle: number): number => (Math.sin(angle) * Math.cos(angle)) ** (2 * shape - 1);
  const integral = (to: number): number => {
    const steps = 4000;
    let sum = f(0) + f(to);
    for (let step = 1; step < steps; step += 1) sum += f((step * to) / steps) * (step % 2 ? 4 : 2);
    return (sum * to) / steps / 3;
  };
  return integral(Math.asin(Math.sqrt(x))) / integral(Math.PI / 2);
}

describe('share of a lot within a lower limit', () => {
  // AC 150/5370-10, table of percent within limits (from memory): four tests, 90 at Q 1.2000, straight in between.
  it.each([
    [1.2, 90],
    [0.9, 80],
    [0, 50],
    [-0.6, 30],
    [1.5, 100],
    [2, 100],
    [-1.5, 0],
    [-3, 0],
  ])('of four tests with a quality index of %d is %d %%', (Q, percent) => {
    expect(shareOf(STANDARD[4] ?? [], -Q).share).toBeCloseTo(percent, 9);
  });
  // The same table (from memory): three tests, 90 at Q 1.0982, 75 at 0.8165 (arcsine: √(2/3)).
  it.each([
    [1.0982, 90],
    [0.8165, 75],
  ])('of three with %d is %d', (Q, percent) => {
    expect(shareOf(STANDARD[3] ?? [], -Q).share).toBeCloseTo(percent, 2);
  });
  it.each([5, 6, 8])('of %d tests is what the distribution comes to by adding it up', (n) => {
    for (const Q of [-1.1, -0.3, 0.2, 0.8, 1.3, 1.6]) {
      const x = Math.min(1, Math.max(0, 0.5 - (Q * Math.sqrt(n)) / (2 * (n - 1))));
      expect(shareOf(STANDARD[n] ?? [], -Q).share).toBeCloseTo(100 * (1 - belowBeta(x, n / 2 - 1)), 5);
    }
  });
  it('of results that are all alike is all or nothing', () => {
    expect(shareOf([640, 640, 640], 590).share).toBe(100);
    expect(shareOf([540, 540, 540], 590).share).toBe(0);
  });
  it('never leaves 0 to 100, falls as the limit rises, and prints lines that come to their values', () => {
    const results = fc.array(
      fc.integer({ min: 60, max: 160 }).map((five) => five * 5),
      { minLength: 3, maxLength: 9 },
    );
    fc.assert(
      fc.property(results, fc.integer({ min: 300, max: 800 }), (values, lower) => {
        const { share, lines } = shareOf(values, lower);
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(100);
        expect(shareOf(values, lower + 15).share).toBeLessThanOrEqual(share + 1e-9);
        for (const { substituted, value } of lines)
          expect(Math.abs(Number(again(substituted)) - Number(value))).toBeLessThan(
            1e-6 * Math.max(1, Math.abs(Number(value))),
          );
      }),
      { numRuns: 150 },
    );
  });
});

const ASKED = { flexuralStrength: '600', flexuralHours: 672, flexuralJudged: 'lots' };
const [rule] = seriesAsked(SERIES, ASKED);
if (!rule) throw new Error('a series judged lot by lot');
const judge = (points: readonly SeriesPoint[]) =>
  evaluateSeries(points, { rule, specified: '600', system: 'US', limits: new Limits() });
let order = 0;
const point = (
  lot: string,
  value: string | null,
  state: SeriesPoint['state'] = value ? 'tested' : 'pending',
) => {
  order += 1;
  const label = `T-${String(order).padStart(3, '0')}`;
  return {
    id: label,
    label,
    sampledAt: order * 3_600_000,
    value,
    state,
    engineer: [],
    lot,
  } satisfies SeriesPoint;
};

describe('a series that is judged lot by lot', () => {
  it('is one that is asked for so, loaded as it is asked for', () => {
    expect(rule.id).toBe('flexure-lots');
    expect(seriesAsked(SERIES, { ...ASKED, flexuralLoading: 'centre' }).map(({ id }) => id)).toEqual([
      'flexure-centre-lots',
    ]);
    expect(seriesAsked(SERIES, { ...ASKED, flexuralJudged: 'rows' }).map(({ id }) => id)).toEqual([
      'flexure',
    ]);
  });
  it('makes one verdict a lot, kept at its last test, though lots are placed beside one another', () => {
    const points = [
      point('a', '655'),
      point('b', '560'),
      point('a', '640'),
      point('b', '610'),
      point('a', '670'),
      point('b', '545'),
      point('a', '645'),
      point('b', '600'),
    ];
    const { windows, individuals, summary, needed, individualLimit, limits, governing } = judge(points);
    expect(individuals).toEqual([]);
    expect(windows.map(({ members }) => members.at(-1))).toEqual([points[6]?.id, points[7]?.id]);
    // Mean 578.75, s 31.192, L 558: Q 0.66524, of four tests 50 + 33.333 Q.
    expect(Number(windows[1]?.statistic)).toBeCloseTo(50 + (100 / 3) * ((578.75 - 558) / 31.1916), 3);
    expect(windows.map(({ state }) => state)).toEqual(['meets', 'does not meet']);
    expect(windows[1]?.sentence).toMatch(
      /^Does not meet: share within limits 72\.\d %.* against 90 %.*short by 17\.\d %/u,
    );
    expect(governing).toBe(windows[1]);
    expect([summary, needed, individualLimit, limits]).toEqual([
      'does not meet',
      null,
      '558',
      { 'flexure-within': '90 %' },
    ]);
  });
  it('waits for all of a lot, and for three at the least', () => {
    const [waits] = judge([
      point('a', '640'),
      point('a', '650'),
      point('a', null),
      point('a', '655'),
    ]).windows;
    expect(waits).toMatchObject({ state: 'not yet determinable', statistic: null });
    const [two] = judge([point('a', '640'), point('a', '650')]).windows;
    expect(two?.sentence).toBe('Not yet determinable: 2 of 3 tested.');
    const failed = [
      point('a', '640'),
      point('a', '650'),
      point('a', null, 'no valid result'),
      point('a', '660'),
    ];
    expect(judge(failed).windows).toMatchObject([
      { state: 'meets', members: [0, 1, 3].map((each) => failed[each]?.id) },
    ]);
  });
  it('asks the engineer where a test of it is in doubt, or where rounding would decide', () => {
    const doubted = [
      point('a', '640'),
      { ...point('a', '650'), engineer: ['a reduced set'] },
      point('a', '660'),
    ];
    expect(judge(doubted).windows[0]).toMatchObject({ state: 'needs decision' });
    // 89.7 % is not 90 %, though it prints so: what does not meet stays so.
    const close = judge([point('a', '560'), point('a', '575'), point('a', '615'), point('a', '600')])
      .windows[0];
    expect(Number(close?.statistic)).toBeGreaterThan(89.5);
    expect(close).toMatchObject({ state: 'does not meet', knifeEdge: true });
  });
});
