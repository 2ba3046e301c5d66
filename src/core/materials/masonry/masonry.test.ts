import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { verdictWith } from '../../acceptance/criterion';
import { Limits } from '../../limits';
import { PROPERTIES } from '../../methods/unit-report/input';
import { exact, meanOf } from '../../quantity';
import { masonry } from '.';
import { across } from './across';
import { fireHours } from './fire';
import { setsWanted } from './sets-wanted';
import { bestSplit } from './split';

const limits = new Limits();

// ASTM C140/C140M 5.2 (from memory).
it.each([
  [1, 1],
  [10_000, 1],
  [10_001, 2],
  [100_000, 2],
  [100_001, 3],
  [150_000, 3],
  [150_001, 4],
])('a lot of %i units wants %i sets of six', (units, sets) => {
  expect(setsWanted(units, limits)).toBe(sets);
});

describe('six units in two groups', () => {
  const weighed = (...masses: readonly string[]) =>
    masses.map((mass, place) => ({ label: `U${place + 1}`, mass: exact(mass) }));
  it('lie as near one another as they can', () => {
    const split = bestSplit(weighed('33.0', '33.1', '33.2', '33.3', '33.4', '33.5'));
    // 33.0 + 33.3 + 33.5 and 33.1 + 33.2 + 33.4 differ by 0.1 / 3; by hand over the twenty ways no way is nearer.
    expect(split?.apart.times('33.25').div(100).toFixed(4)).toBe('0.0333');
  });
  it('are left in their order where they weigh the same', () => {
    expect(bestSplit(weighed('33', '33', '33', '33', '33', '33'))?.first).toEqual(['U1', 'U2', 'U3']);
  });
  it('are none of an odd number, of one, or of too many', () => {
    expect(bestSplit(weighed('33', '33', '33'))).toBeUndefined();
    expect(bestSplit([])).toBeUndefined();
    expect(bestSplit(weighed(...Array.from({ length: 14 }, () => '33')))).toBeUndefined();
  });
  it('are never split worse than in the order they came', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 3000, max: 3600 }), { minLength: 6, maxLength: 6 }), (all) => {
        const units = weighed(...all.map(String));
        const [one, two] = [units.slice(0, 3), units.slice(3)].map((each) =>
          meanOf(each.map(({ mass }) => mass)),
        );
        const given = (one ?? exact(0))
          .minus(two ?? exact(0))
          .abs()
          .div(meanOf(units.map(({ mass }) => mass)))
          .times(100);
        expect(bestSplit(units)?.apart.lessThanOrEqualTo(given.plus('1e-12'))).toBe(true);
      }),
    );
  });
});

// ASTM C90 and others, their common clause (from memory): one retest, after the producer took units out.
describe('a delivery', () => {
  type State = 'meets' | 'does not meet' | 'not yet determinable';
  const set = (draw: string, ...states: State[]) => ({
    label: draw,
    about: { draw },
    results: [],
    found: {},
    verdicts: states.map((state) => ({ title: 'Mean net strength', state, method: 'unit-compression' })),
    tested: [],
  });
  const shrinkage = (state: State) => ({
    method: 'unit-report',
    verdicts: [
      verdictWith({ criterion: `${PROPERTIES.shrinkage} 0.065 %`, limit: '', state, sentence: 'Shrinkage.' }),
    ],
  });
  const about = {
    mode: 'half-even',
    system: 'US',
    limits: new Limits(),
    asked: { product: 'c90' },
    tests: [shrinkage('meets')],
  } as const;
  const verdict = (...sets: ReturnType<typeof set>[]) => across(sets, about)?.verdict;
  it('never meets while its product asks for a report that there is none of', () => {
    const met = [set('first', 'meets')];
    expect(across(met, { ...about, tests: [] })?.verdict).toMatchObject({
      state: 'not yet determinable',
      sentence: expect.stringContaining('linear drying shrinkage, C426'),
    });
    expect(across(met, { ...about, tests: [shrinkage('does not meet')] })?.verdict?.state).toBe(
      'does not meet',
    );
    expect(across(met, { ...about, asked: { product: 'c55' }, tests: [] })?.verdict?.state).toBe('meets');
    expect(across(met, { ...about, asked: { product: 'c936' } })?.verdict?.sentence).toContain('abrasion');
  });
  it('judged on its gross area is not passed before it was soaked', () => {
    const indian = { ...about, asked: { product: 'is2185' } };
    expect(across([set('first', 'meets')], indian)?.verdict).toMatchObject({
      state: 'not yet determinable',
      sentence: expect.stringContaining('absorption'),
    });
    const soaked = set('first', 'meets');
    soaked.verdicts.push({ title: 'Mean absorption by mass', state: 'meets', method: 'unit-absorption' });
    expect(across([soaked], indian)?.verdict?.state).toBe('meets');
    // That of the first set does not stand for the second.
    soaked.verdicts.push({ title: 'Mean gross strength', state: 'does not meet', method: 'unit-absorption' });
    expect(across([soaked, set('second', 'meets')], indian)?.verdict?.state).toBe('not yet determinable');
  });
  it('stands by its first set', () => {
    expect(across([set('first')], about)).toBeNull();
    expect(verdict(set('first', 'meets', 'meets'))?.state).toBe('meets');
    expect(verdict(set('first', 'meets', 'not yet determinable'))).toEqual({
      state: 'not yet determinable',
      sentence: 'Undecided while there is no result of mean net strength, first.',
    });
  });
  it('after the first failed stands by its second, and there is no third', () => {
    const failed = set('first', 'does not meet');
    expect(verdict(failed)?.sentence).toContain('second set');
    expect(verdict(failed, set('second', 'meets'))).toMatchObject({
      state: 'meets',
      sentence: expect.stringContaining('what is left'),
    });
    expect(verdict(failed, set('second', 'not yet determinable'))?.state).toBe('not yet determinable');
    expect(verdict(failed, set('second', 'does not meet'))?.sentence).toContain('no third');
  });
  it('refuses a second set before the first, and anything after the second', () => {
    const wrong = (draw: string, ...before: string[]) =>
      masonry.sampleProblems?.(
        { draw },
        before.map((each) => ({ draw: each })),
      );
    expect(wrong('first')).toEqual({});
    expect(wrong('second')).toHaveProperty('draw');
    expect(wrong('second', 'first')).toEqual({});
    expect(wrong('first', 'first')).toEqual({});
    expect(wrong('first', 'first', 'second')).toHaveProperty('draw');
  });
});

it('says its specification, its sizes and what the project asks otherwise', () => {
  const asked = {
    product: 'c90',
    edition: '2022',
    width: '7.625 in',
    height: '7.625 in',
    length: '15.625 in',
    leastMean: '2500 psi',
    projectSays: '04 22 00',
  };
  const said = Object.fromEntries(masonry.summary(asked));
  expect(said).toMatchObject({
    Specification: 'C90, loadbearing, 2022',
    Project: 'mean at least 2,500 psi: 04 22 00',
  });
  expect(masonry.problems?.({ leastMean: '2500 psi' })).toHaveProperty('projectSays');
  expect(masonry.problems?.(asked)).toEqual({});
  // The rows are those of an edition: another one is not held to them without a word.
  expect(masonry.problems?.({ product: 'c90', edition: 'C90-06 of 2006' })?.edition).toContain('up to 2010');
  expect(masonry.problems?.({ product: 'c90-2010', edition: 'C90-06 of 2006' })).toEqual({});
  expect(masonry.problems?.({ product: 'c90-2010', edition: '2012' })?.edition).toContain('2011 to 2013');
  expect(masonry.problems?.({ product: 'c90', edition: 'the current one' })).toEqual({});
  expect(masonry.problems?.({ product: 'c55', edition: '2006' })).toEqual({});
  expect(masonry.lotWants?.({ units: '12000' }, limits, asked)).toBe(
    '2 sets of 6 units for a lot of 12,000.',
  );
  expect([0, 2, 3, 5, 6].map((before) => masonry.registers?.[0]?.role?.(before, asked, limits))).toEqual([
    'compression',
    'compression',
    'absorption',
    'absorption',
    'spare',
  ]);
});

// TMS 216.1 (from memory). 0.53 × 7.625 in is 4.04 in: an 8 in unit of the usual share of solid.
describe('fire resistance by equivalent thickness', () => {
  it.each([
    ['4.04', 'gravel', 1],
    ['4.04', 'limestone', 2],
    ['4.04', 'expanded', 2],
    ['4.04', 'pumice', 3],
    ['2.8', 'gravel', 1],
    ['2.79', 'gravel', 0],
    ['6.2', 'gravel', 4],
    ['4.04', 'granite', undefined],
    ['4.04', undefined, undefined],
  ] as const)('%s in of %s: %s h', (thickness, aggregate, hours) => {
    expect(fireHours(exact(thickness), aggregate, limits, 'US')).toBe(hours);
  });
  it('never falls with a thicker unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 80 }), fc.integer({ min: 0, max: 20 }), (tenths, more) => {
        const of = (each: number) => fireHours(exact(each).div(10), 'expanded', limits, 'US') ?? 0;
        expect(of(tenths + more)).toBeGreaterThanOrEqual(of(tenths));
      }),
    );
  });
});
