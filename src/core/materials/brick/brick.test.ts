import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { VerdictState } from '../../acceptance/criterion';
import { Limits } from '../../limits';
import type { LotAbout, SampleOfLot } from '../../material/contract';
import { storedOf } from '../../material/stored';
import { exact } from '../../quantity';
import { brick, bricksWanted } from '.';
import { type Alternate, coldAllows } from './alternates';
import { Asked } from './fields';
import { gradeTables, judge } from './grades';
import type { Product } from './products';

const limits = new Limits();
const about = { limits, system: 'US', mode: 'half-even' } as const;

// ASTM C67/C67M 4 (from memory).
it.each([
  [36_000, 10],
  [1_000_000, 10],
  [1_000_001, 15],
  [1_500_000, 15],
  [1_500_001, 20],
])('a lot of %i asks for %i bricks', (bricks, count) => {
  expect(bricksWanted(bricks, limits)).toBe(count);
});

/** What a sample says, from means and ends as a table of results has them. */
const found = (
  strength: readonly [mean: number, least: number],
  boil: readonly [mean: number, most: number],
  saturation: readonly [mean: number, most: number],
  cold: readonly [mean: number, most: number] = [10, 10.5],
): Record<string, string> => ({
  'mean strength': String(strength[0]),
  'least strength': String(strength[1]),
  'mean boiling absorption': String(boil[0]),
  'greatest boiling absorption': String(boil[1]),
  'mean saturation': String(saturation[0]),
  'greatest saturation': String(saturation[1]),
  'mean cold absorption': String(cold[0]),
  'greatest cold absorption': String(cold[1]),
});
const gradeOf = (product: Product, values: Record<string, string>, used: readonly Alternate[] = []) =>
  judge(gradeTables(product, values, about), used);

// Limits of ASTM C216, C62, C902 (from memory); what the samples came to is made up for their sides.
describe('the grade of a sample', () => {
  it('is the strictest of which nothing is missed, with what governs it', () => {
    const { grade, governs, why } = gradeOf(
      'c216',
      found([5805.75, 5503.4], [13.207, 13.348], [0.7232, 0.7314]),
    );
    expect(grade).toBe('SW');
    expect(why).toEqual([]);
    expect(governs).toMatchObject({ row: 'sat', value: 0.72, limit: 0.78 });
    expect(governs?.margin).toBeCloseTo((100 * (0.78 - 0.72)) / 0.78, 2);
  });
  it('falls where saturation governs, and an alternate for cold absorption brings it back', () => {
    const values = found([7008.98, 6730], [11.3, 11.5], [0.8382, 0.8426], [9.55, 9.8]);
    expect(gradeOf('c216', values)).toMatchObject({
      grade: 'MW',
      why: [
        { row: 'sat', value: 0.84, limit: 0.78 },
        { row: 'sat-each', value: 0.84, limit: 0.8 },
      ],
    });
    const low = found([8794.43, 8600], [8.3, 8.4], [0.857, 0.876], [7.05, 7.238]);
    expect(gradeOf('c216', low).grade).toBe('MW');
    expect(gradeOf('c216', low, ['cold']).grade).toBe('SW');
    expect(coldAllows(exact('7.238'), limits)).toBe(true);
    expect(coldAllows(exact('9.8'), limits)).toBe(false);
    // 8.04 is 8.0 as it is reported, 8.06 is 8.1.
    expect(coldAllows(exact('8.04'), limits)).toBe(true);
    expect(coldAllows(exact('8.06'), limits)).toBe(false);
  });
  it('falls by one brick alone', () => {
    const { grade, why } = gradeOf('c216', found([3186.02, 2422.3], [15.6, 15.9], [0.73, 0.74]));
    expect(grade).toBe('MW');
    expect(why).toMatchObject([{ row: 'each', value: 2420, limit: 2500 }]);
  });
  it('may be the last of building brick and none of facing brick', () => {
    const values = found([2839.34, 2730], [23.07, 23.2], [0.8, 0.82]);
    expect(gradeOf('c62', values).grade).toBe('NW');
    expect(gradeOf('c216', values).grade).toBeNull();
    expect(gradeOf('c216', values, ['weathering'])).toMatchObject({ grade: 'MW' });
  });
  it('is not known while a result is missing', () => {
    const { 'mean saturation': _, ...rest } = found([5800, 5500], [13, 13.3], [0.72, 0.73]);
    expect(gradeOf('c216', rest)).toMatchObject({
      grade: undefined,
      missing: ['Mean saturation coefficient'],
    });
  });
  it('is never better for a weaker brick, nor for one that takes up more', () => {
    const order = ['SW', 'MW', 'NW', null];
    const better = fc.integer({ min: 0, max: 3000 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 6000 }),
        better,
        fc.double({ min: 8, max: 26, noNaN: true }),
        (psi, more, boil) => {
          const weak = gradeOf('c62', found([psi, psi * 0.9], [boil, boil + 1], [0.7, 0.75])).grade;
          const strong = gradeOf(
            'c62',
            found([psi + more, (psi + more) * 0.9], [boil, boil + 1], [0.7, 0.75]),
          ).grade;
          expect(order.indexOf(strong as string)).toBeLessThanOrEqual(order.indexOf(weak as string));
        },
      ),
    );
  });
});

const sample = (
  values: Record<string, string>,
  states: readonly (readonly [string, VerdictState])[],
  draw = 'first',
): SampleOfLot => ({
  label: `TST-${draw}`,
  about: { draw },
  results: [],
  found: values,
  verdicts: states.map(([title, state]) => ({ title, state, method: 'brick-boil' })),
  tested: [],
});
const says = (samples: readonly SampleOfLot[], asked: object, tests: LotAbout['tests'] = []) =>
  brick.across?.(samples, { ...about, asked: { product: 'c216', grade: 'sw', ...asked }, tests }) ?? null;
const GOOD = found([5800, 5500], [13, 13.3], [0.72, 0.73]);
const frozen: LotAbout['tests'] = [
  {
    method: 'unit-report',
    verdicts: [
      {
        criterion: 'Freezing and thawing, C1645 or C1262',
        members: [],
        state: 'meets',
        statistic: null,
        limit: '',
        margin: null,
        sentence: 'it meets',
        knifeEdge: false,
        lines: [],
      },
    ],
  },
];

describe('a delivery of brick', () => {
  it('is undecided while a branch of it, or its efflorescence, has no result', () => {
    const { 'mean cold absorption': _, ...half } = GOOD;
    expect(says([sample(half, [['Mean strength', 'meets']])], {})?.verdict).toMatchObject({
      state: 'not yet determinable',
      sentence: expect.stringContaining('mean cold absorption'),
    });
    const asked = { efflorescence: 'none' };
    expect(says([sample(GOOD, [['Mean strength', 'meets']])], asked)?.verdict?.sentence).toContain(
      'efflorescence',
    );
    const seen = sample(GOOD, [
      ['Mean strength', 'meets'],
      ['Efflorescence', 'meets'],
    ]);
    expect(says([seen], asked)?.verdict?.state).toBe('meets');
  });
  it('of another school has no grade: it stands by its class, and IS by its cold absorption too', () => {
    const { 'mean cold absorption': _, ...strong } = GOOD;
    const met = (values: Record<string, string>) => [sample(values, [['Mean strength', 'meets']])];
    const asked = { product: 'is1077', declared: '10 MPa' };
    expect(says(met(strong), asked)?.verdict?.sentence).toContain('mean cold absorption');
    expect(says(met(GOOD), asked)).toMatchObject({ verdict: { state: 'meets' }, remarks: [] });
    expect(says(met(strong), { product: 'en771-1', declared: '25 MPa' })?.verdict?.state).toBe('meets');
    expect(says(met(GOOD), asked)?.picture).toBeUndefined();
  });
  it('says the grade of its results, and what keeps it from the next', () => {
    const low = found([7008.98, 6730], [11.3, 11.5], [0.8382, 0.8426], [9.55, 9.8]);
    const { remarks, verdict, picture } =
      says([sample(low, [['Mean saturation coefficient', 'does not meet']])], {}) ?? {};
    expect(verdict?.state).toBe('does not meet');
    expect(remarks?.join(' ')).toContain('the grade is MW');
    expect(remarks?.join(' ')).toContain('mean saturation coefficient 0.84 against at most 0.78');
    expect(picture?.values).toMatchObject({ possible: '', used: '', asked: 'SW' });
  });
  it('that passed freezing and thawing by another report need not meet absorption', () => {
    const wet = sample(found([4000, 3800], [18.4, 19], [0.79, 0.81]), [
      ['Mean strength', 'meets'],
      ['Mean absorption by boiling', 'does not meet'],
      ['Mean saturation coefficient', 'does not meet'],
    ]);
    expect(says([wet], {})?.verdict?.state).toBe('does not meet');
    expect(says([wet], {}, frozen)?.verdict?.state).toBe('meets');
    expect(says([wet], {}, frozen)?.remarks.join(' ')).toContain('Freezing alternate');
  });
  it('of paving has its abrasion index beside its type', () => {
    const paving = (wear: string) =>
      says([sample(found([6200, 6000], [11, 11], [0.7, 0.7], [8.9, 9]), [['Mean strength', 'meets']])], {
        product: 'c902',
        grade: 'mx',
        wear,
      });
    // 100 × 8.9 / 6,200 = 0.1435.
    expect(paving('2')?.verdict?.state).toBe('meets');
    expect(paving('2')?.remarks.join(' ')).toContain('Abrasion index 0.14');
    expect(paving('1')?.verdict?.state).toBe('does not meet');
  });
  it('after a second sample failed is not drawn a third time', () => {
    const bad = (draw: string) => sample(GOOD, [['Mean strength', 'does not meet']], draw);
    expect(says([bad('first')], {})?.verdict?.sentence).toContain('draws a second set');
    expect(says([bad('first'), bad('second')], {})?.verdict?.sentence).toContain('There is no third');
    expect(
      brick.sampleProblems?.({ draw: 'second' }, [{ draw: 'first' }, { draw: 'second' }]),
    ).toHaveProperty('draw');
  });
});

describe('what is asked of brick', () => {
  const ask = (over: object) =>
    brick.problems?.({ product: 'c216', grade: 'sw', edition: '2023', ...over }) ?? {};
  it('is a grade that its specification has, and an alternate with its source', () => {
    expect(ask({})).toEqual({});
    expect(ask({ grade: 'nw' }).grade).toContain('SW, MW');
    expect(ask({ product: 'c902' }).grade).toContain('SX, MX, NX');
    expect(ask({ coldAlternate: 'yes' })).toHaveProperty('projectSays');
    expect(ask({ coldAlternate: 'yes', projectSays: '04 21 13' })).toEqual({});
  });
  it('refuses sizes that no brick has', () => {
    const stored = storedOf(
      Asked,
      { product: 'c216', edition: '2023', grade: 'sw', width: '3.6', height: '25', length: '7.6' },
      'US',
    );
    expect(stored.ok ? [] : Object.keys(stored.errors)).toEqual(['height']);
  });
});
