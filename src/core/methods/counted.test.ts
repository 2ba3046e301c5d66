import { describe, expect, it } from 'vitest';
import { fieldsOf } from './fields';
import { METHODS } from './registry';

const counted = METHODS.filter(({ counts }) => counts);
const planOf = (id: string, values: Record<string, string>, system: 'US' | 'SI' = 'US', profile = 'astm') => {
  const method = METHODS.find((each) => each.id === id);
  if (!method?.counts) throw new Error(`${id} counts nothing`);
  return method.counts(values, system, { ...method.example(system).setup, profile } as never);
};

describe('what is counted while a test is filled in layers', () => {
  it('those that are, keep a reading of it', () => {
    expect(counted.map(({ id }) => id).toSorted()).toEqual([
      'air-pressure',
      'air-volumetric',
      'density-yield',
      'moulding',
      'slump',
    ]);
    for (const { Input, id } of counted) {
      const fields = fieldsOf(Input).map(({ name }) => name);
      expect(
        ['strokes', 'insertions', 'layers'].some((field) => fields.includes(field)),
        `${id} has nowhere to keep its count`,
      ).toBe(true);
    }
  });

  it('nothing before the readings say how', () => {
    expect(planOf('air-pressure', {})).toBeNull();
    expect(planOf('density-yield', { consolidation: '' })).toBeNull();
    expect(planOf('moulding', { consolidation: 'rod' })).toBeNull();
    expect(planOf('moulding', { mould: '4x8' })).toBeNull();
  });

  // ASTM C143 (cone: three layers of 25), C173 (bowl: two of 25), C231 and C138 (three of 25), C31 table of layers, IS 1199
  // (cone: four of 25); all from memory.
  it.each([
    ['slump', {}, 'US', 'astm', 3, 25],
    ['slump', {}, 'SI', 'is', 4, 25],
    ['air-volumetric', {}, 'US', 'astm', 2, 25],
    ['air-pressure', { consolidation: 'rod' }, 'US', 'astm', 3, 25],
    ['density-yield', { consolidation: 'rod' }, 'SI', 'astm', 3, 25],
    ['moulding', { mould: '4x8', consolidation: 'rod' }, 'US', 'astm', 2, 25],
    ['moulding', { mould: '6x12', consolidation: 'rod' }, 'US', 'astm', 3, 25],
  ] as const)('%s %o in %s, %s: %s layers of %s', (id, values, system, profile, layers, strokes) => {
    expect(planOf(id, values, system, profile)).toMatchObject({ layers, strokes });
  });

  it('vibrated, insertions take the place of strokes', () => {
    for (const id of ['air-pressure', 'density-yield']) {
      const plan = planOf(id, { consolidation: 'vibrate' });
      expect(plan?.strokes).toBe(0);
      expect(plan?.insertions).toBeGreaterThan(0);
    }
    expect(planOf('moulding', { mould: '6x12', consolidation: 'vibrate' })).toMatchObject({
      strokes: 0,
      insertions: 2,
    });
  });

  it('only a set of moulds is counted mould by mould', () => {
    expect(planOf('moulding', { mould: '4x8', consolidation: 'rod' })?.everyMould).toBe(true);
    expect(planOf('slump', {})?.everyMould).toBeUndefined();
  });
});
