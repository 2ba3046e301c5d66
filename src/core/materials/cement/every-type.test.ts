import { describe, expect, it } from 'vitest';
import type { VerdictState } from '../../acceptance';
import { isLimitId, Limits } from '../../limits';
import { findMethod } from '../../methods/registry';
import { cement } from '.';
import { CEMENT_TYPE_IDS, propertyRow, standardOf, strengthRow } from './standards';

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
