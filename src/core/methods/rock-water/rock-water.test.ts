import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computed, idsOf } from '../../../testing/outcome';
import { Limits } from '../../limits';
import type { Outcome } from '../contract';
import type { Facts } from '../facts';
import { findMethod } from '../registry';
import { rockWater as own } from '.';

const rockWater = findMethod(own.id) ?? own;
const IN = Date.parse('2031-06-11T09:40:00-04:00');
const at = (hours: number): string => new Date(IN + hours * 3_600_000).toISOString();

/** Pieces with a tin, weighed wet and then out of the oven, mass and hours each. */
function dried(
  [tinMass, wetMass]: readonly [string, string],
  weighings: readonly (readonly [mass: string, hours: number])[],
  over: Record<string, unknown> = {},
  facts: Facts = {},
): Outcome {
  const { input, setup } = rockWater.example('SI');
  return computed(
    rockWater,
    {
      ...{ ...input, tinMass, wetMass, wetAt: at(-0.2), inAt: at(0) },
      weighings: weighings.map(([mass, hours], place) => ({ id: `w${place}`, mass, at: at(hours) })),
      ...over,
    },
    { ...setup, facts },
  );
}
const first = (outcome: Outcome) => outcome.results[0];

// ASTM D2216 (from memory): w = 100 (wet − dry) / (dry − tin); by hand.
describe('the water content of pieces', () => {
  it.each([
    // 16.52 over 546.77 g.
    [['25.13', '588.42'], '571.90', '3.0', 'b'],
    [['25.13', '588.42'], '571.90', '3', 'a'],
    // 8.55 over 572.65 g.
    [['31.20', '612.40'], '603.85', '1.5', 'b'],
  ] as const)('of %j dried to %s is %s %%, method %s', (masses, dry, reported, precision) => {
    const outcome = dried(
      masses,
      [
        [dry, 14],
        [dry, 15.5],
      ],
      { precision },
    );
    expect(first(outcome)).toMatchObject({ reported, quantity: 'water content' });
    expect(first(outcome)?.provisional).toBeUndefined();
    expect(idsOf(outcome)).toEqual([]);
  });

  it('is of the dry mass, whatever the tin weighs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 5000 }),
        fc.integer({ min: 0, max: 400 }),
        fc.integer({ min: 5, max: 900 }),
        (dry, water, tin) => {
          const outcome = dried(
            [String(tin), String(tin + dry + water)],
            [
              [String(tin + dry), 14],
              [String(tin + dry), 16],
            ],
          );
          expect(Number(first(outcome)?.value)).toBeCloseTo((100 * water) / dry, 8);
        },
      ),
    );
  });
});

describe('dryness', () => {
  // 0.80 of 546.77 g of pieces are 0.146 %; with the tin it would be 0.140 %.
  it('is told by the loss of the pieces alone, and the number is provisional until then', () => {
    const outcome = dried(
      ['25.13', '588.42'],
      [
        ['571.90', 14],
        ['571.10', 16],
      ],
    );
    expect(outcome.findings.find(({ id }) => id === 'water.loss')?.message).toContain('0.146 %');
    expect(first(outcome)?.provisional).toBe('it is not dry yet');
    // A tin as heavy as the pieces hides half of a loss: 0.7 of 1,100 g is less than 0.1 %, of 550 g more.
    expect(
      idsOf(
        dried(
          ['550', '1150'],
          [
            ['1100.7', 14],
            ['1100.0', 16],
          ],
        ),
      ),
    ).toContain('water.loss');
  });
  it.each([
    // 0.25 of 572.90 g are 0.044 %.
    [
      [
        ['604.10', 14],
        ['603.85', 15],
      ],
      false,
    ],
    [[['604.10', 14]], true],
    // Half an hour later counts for nothing; nor does a weighing before the night is over.
    [
      [
        ['604.10', 14],
        ['603.85', 14.5],
      ],
      true,
    ],
    [
      [
        ['604.10', 10],
        ['603.85', 11.5],
      ],
      true,
    ],
  ] as const)('of %j is wanted still: %s', (weighings, wanted) => {
    const outcome = dried(['31.20', '612.40'], weighings);
    expect(idsOf(outcome).includes('water.loss')).toBe(wanted);
  });
  it('is waited for, weighing by weighing', () => {
    const waits = (weighings: readonly (readonly [string, number])[]) => {
      const { input } = rockWater.example('SI');
      const typed = Object.assign(new own.Input(), {
        ...{ ...input, tinMass: '31.20', inAt: at(0) },
        weighings: weighings.map(([mass, hours]) => ({ mass, at: at(hours), system: 'SI' })),
      });
      return own.waits?.(typed, { zone: 'utc' }) ?? [];
    };
    expect(waits([])).toMatchObject([{ what: 'Weigh the pieces out of the oven', opens: at(12) }]);
    expect(waits([])[0]).not.toHaveProperty('done');
  });
});

describe('what is wrong with the masses', () => {
  it.each([
    // Dry heavier than wet; no more than the tin, wet or dry.
    [['30.00', '410.0'], '412.0', true],
    [['30.00', '29.0'], '28.0', true],
    [['30.00', '410.0'], '30.0', true],
    [['30.00', '610.0'], '600.0', false],
  ] as const)('%j and %s: no result %s', (masses, dry, refused) => {
    const outcome = dried(masses, [
      [dry, 14],
      [dry, 16],
    ]);
    expect(idsOf(outcome).includes('water.order')).toBe(refused);
    expect(outcome.results.length === 0).toBe(refused);
  });
  it('too little rock is remarked, too much water asked about', () => {
    expect(
      idsOf(
        dried(
          ['30', '245'],
          [
            ['240', 14],
            ['240', 16],
          ],
        ),
      ),
    ).toEqual(['water.mass']);
    expect(
      idsOf(
        dried(
          ['30', '830'],
          [
            ['630', 14],
            ['630', 16],
          ],
        ),
      ),
    ).toEqual(['water.most']);
  });
  it('pieces that lay about before they were weighed are remarked', () => {
    const masses = [
      ['630', 14],
      ['630', 16],
    ] as const;
    expect(idsOf(dried(['30', '645'], masses, {}, { brokenAt: at(-0.5) }))).toEqual([]);
    expect(idsOf(dried(['30', '645'], masses, {}, { brokenAt: at(-3) }))).toEqual(['water.kept']);
  });
  it.each([
    [{ temperature: '104' }, ['water.oven']],
    [{ temperature: '110', hottest: '118' }, ['water.oven']],
    [{ temperature: '60' }, ['water.oven']],
    [{ temperature: '60', dried: 'gentle' }, ['water.gently']],
    [{ temperature: '110', dried: 'gentle' }, ['water.gentle', 'water.gently']],
  ])('an oven as %j says %j', (over, ids) => {
    expect(
      idsOf(
        dried(
          ['30', '645'],
          [
            ['630', 14],
            ['630', 16],
          ],
          over,
        ),
      ).toSorted(),
    ).toEqual(ids);
  });
});

it('a group whose contents lie more than two percent apart was not in one state of moisture', () => {
  const remarks = (...values: string[]) =>
    own.set?.derives?.(
      undefined as never,
      {
        pieces: values.map((value) => ({ label: '', value, used: true, quantities: {} })),
        ...{ limits: new Limits(), system: 'SI' },
      } as never,
    ).remarks;
  expect(remarks('2.0', '4.0')).toEqual([]);
  expect(remarks('2.0', '4.1')).toEqual([expect.stringContaining('2.1 % apart')]);
  expect(remarks('2.0')).toEqual([]);
});
