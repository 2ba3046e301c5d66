import { describe, expect, it } from 'vitest';
import type { VerdictState } from '../../acceptance';
import { isLimitId, Limits } from '../../limits';
import { findMethod } from '../../methods/registry';
import { cement } from '.';
import { CEMENT_TYPE_IDS, orderedBy, propertyRow, standardOf, strengthRow } from './standards';

const limits = new Limits();
type Told = readonly [method: string, state: VerdictState];

/** What a sample of a type says once these tests of it are made. */
const says = (cementType: string, told: readonly Told[], more: Record<string, unknown> = {}) =>
  cement.sampleSays?.(
    {
      ...{ label: 'S', about: {}, results: [], found: {}, tested: [] },
      verdicts: told.map(([method, state]) => ({ title: method, state, method })),
    },
    { ...{ mode: 'half-even', system: 'US', limits, tests: [] }, asked: { cementType, ...more } },
  )?.verdict;

/** Every test that can be begun on a sample of a type, each met often enough for all ages. */
const allMet = (type: string): Told[] => {
  const tests = [...(cement.onSample?.({ cementType: type }) ?? []), 'mortar-cube'];
  return tests.flatMap((method): Told[] => Array<Told>(5).fill([method, 'meets']));
};

describe.each(CEMENT_TYPE_IDS)('%s', (type) => {
  const school = standardOf(type)?.school;
  it('can have every test begun that it is told by, each of its own school', () => {
    const tests = cement.onSample?.({ cementType: type }) ?? [];
    for (const id of tests) expect(findMethod(id), id).toBeDefined();
    expect(tests.includes('cement-prisms')).toBe(school === 'en');
    expect(tests.includes('cement-air')).toBe(school === 'astm');
    expect(tests.includes('cement-needles')).toBe(school !== 'astm');
  });

  it('meets once all that can be tested met, and only then', () => {
    // Cubes of IS 4031-6 are of another size, which no press of ours knows: its strength is never told by others.
    const met = allMet(type).filter(([method]) => school !== 'is' || method !== 'mortar-cube');
    const state = says(type, met)?.state;
    expect(state).toBe(school === 'is' ? 'not yet determinable' : 'meets');
    expect(says(type, [])?.state).toBe('not yet determinable');
  });

  it('says not yet for each test that is missing by itself, and no for each that fails', () => {
    const met = allMet(type);
    for (const method of new Set(met.map(([id]) => id))) {
      const without = met.filter(([id]) => id !== method);
      const asked = says(type, without)?.state !== says(type, met)?.state;
      const failed = says(type, [...without, [method, 'does not meet']])?.state;
      // What its standard does not ask for decides nothing either way.
      if (asked) {
        expect(says(type, without)?.state, method).toBe('not yet determinable');
        expect(failed, method).toBe('does not meet');
      } else if (school !== 'is') expect(failed, method).toBe('meets');
    }
  });

  it('has rows that exist, and grow from age to age', () => {
    const rows = [24, 48, 72, 168, 672].flatMap((hours) => strengthRow(type, hours, true) ?? []);
    const values = rows.map((id) => limits.number(id, 'SI').toNumber());
    expect(rows.every(isLimitId)).toBe(true);
    expect(values).toEqual(values.toSorted((a, b) => a - b));
    for (const property of ['set', 'fineness', 'autoclave', 'air', 'loss', 'expansion'] as const) {
      const row = propertyRow(type, property);
      if (row) expect(limits.of(row, 'US').source, row).toBeDefined();
    }
  });

  it('wants what was ordered besides, and only where its standard has a row for it', () => {
    const met = allMet(type).filter(([method]) => method !== 'cement-gillmore');
    const more = { orderedGillmore: true };
    const row = propertyRow(type, 'gillmore-initial', ['gillmore-initial']);
    expect(says(type, met, more)?.sentence.includes('Gillmore')).toBe(row !== undefined);
  });
});

// ASTM C150/C150M, C595/C595M and C1157/C1157M (from memory): heat in J/g.
describe('heat of hydration', () => {
  it.each([
    ['c150.IV', [200, 225]],
    ['c150.I', [undefined, undefined]],
    ['c150.II-MH', [undefined, undefined]],
    ['c595.LH', [200, 225]],
    ['c1157.MH', [335, undefined]],
    ['c1157.LH', [200, 225]],
    ['en197.42.5N', [undefined, undefined]],
  ] as const)('of %s is at most %j', (type, most) => {
    const rows = (['heat-3d', 'heat-7d'] as const).map((property) => propertyRow(type, property));
    expect(rows.map((row) => row && limits.of(row, 'SI').high?.toNumber())).toEqual(most);
  });
  it('of a moderate one counts where it was ordered, and then it may be weaker', () => {
    const ordered = propertyRow(
      'c150.II-MH',
      'heat-3d',
      orderedBy((field) => field === 'orderedHeat'),
    );
    expect(ordered && limits.of(ordered, 'US').high?.toNumber()).toBe(335);
    const least = (type: string, cool: boolean) =>
      [72, 168, 672].map((hours) => {
        const row = strengthRow(type, hours, true, cool);
        return row && limits.number(row, 'SI').toNumber();
      });
    expect(least('c150.II-MH', false)).toEqual([10, 17, 28]);
    expect(least('c150.II-MH', true)).toEqual([7, 12, 22]);
    expect(least('c150.II-MH-A', true)).toEqual([6, 9, 18]);
    // Of every other type the order for heat changes no strength.
    expect(least('c150.II', true)).toEqual(least('c150.II', false));
  });
});
