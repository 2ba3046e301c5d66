import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { type Exact, exact } from '../quantity';
import { crackOf, type Probe } from './crack';
import { C76, loadOf } from './load';
import { ratePlan, tooFast } from './rates';
import { spacingOf, stripTrouble } from './strips';

const limits = new Limits();
const probes = (enters: readonly number[], not: readonly number[] = []): Probe[] => [
  ...enters.map((at) => ({ at, enters: true })),
  ...not.map((at) => ({ at, enters: false })),
];
const says = (enters: readonly number[], not: readonly number[] = [], whole = true) =>
  crackOf(probes(enters, not), limits, 'US', whole);

// ASTM C497 (from memory): the leaf gauge enters over a foot, probed no more than 3 in apart.
describe('the crack', () => {
  it('is there where the gauge enters over a foot, probe by probe', () => {
    expect(says([0, 3, 6, 9, 12])).toEqual({ says: 'it is the crack', from: 0, to: 12 });
    expect(says([20, 14, 17, 11, 8, 30], [26])).toEqual({ says: 'it is the crack', from: 8, to: 20 });
    expect(crackOf(probes([0, 75, 150, 225, 300]), limits, 'SI').says).toBe('it is the crack');
  });
  it.each([
    [[0, 3, 6, 9], []],
    [[0, 3, 6, 12, 15], [9]],
    [[], [0, 3, 6]],
    [[], []],
    [[4], []],
  ])('is not there by %j, not entered at %j', (enters, not) => {
    expect(says(enters, not)).toEqual({ says: 'it is not' });
  });
  it('cannot be told across a gap: it says where to probe', () => {
    expect(says([0, 4, 8, 12])).toEqual({ says: 'probe on', at: [2, 6, 10] });
    // Two probes a foot apart are no foot of crack.
    expect(says([0, 12])).toEqual({ says: 'probe on', at: [6] });
  });
  it('that is seen to go on beyond the outer probes is followed', () => {
    expect(says([0, 3, 6, 9], [], false)).toEqual({ says: 'probe on', at: [-3, 12] });
    expect(says([0, 3, 6], [9], false)).toEqual({ says: 'probe on', at: [-3] });
    expect(says([3, 6], [0, 9], false)).toEqual({ says: 'it is not' });
  });
  it('stays the crack, whatever else is probed beyond its run', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 13, max: 60 }), fc.boolean()), { maxLength: 12 }),
        (more) => {
          const all = [...probes([0, 3, 6, 9, 12]), ...more.map(([at, enters]) => ({ at, enters }))];
          expect(crackOf(all, limits, 'US').says).toBe('it is the crack');
        },
      ),
    );
  });
  it('is never told by fewer than five probes', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 90 }), { maxLength: 4 }), (at) => {
        expect(says(at).says).not.toBe('it is the crack');
      }),
    );
  });
});

const feet = (inches: number): Exact => exact(inches).div(12);
/** The plan of a pipe of a class, its diameter in inches and its length in feet. */
const planOf = (name: keyof typeof C76, inches: number, length: number) =>
  ratePlan(loadOf(C76[name]?.[0] ?? exact(0), feet(inches), exact(length)), exact(length), limits, 'US');
const log = (...read: readonly (readonly [number, number])[]) =>
  read.map(([seconds, load]) => ({ seconds: exact(seconds), load: exact(load) }));

// ASTM C76 and C497 (from memory); the arithmetic by hand.
describe('load and rate of a pipe', () => {
  it.each([
    // Class III of 48 in bears 5,400 lbf on a foot.
    ['III', 48, 1, '5400'],
    ['III', 12, 8, '10800'],
    ['V', 96, 8, '192000'],
  ] as const)('class %s of %i in, %i ft: %s lbf', (name, inches, length, load) => {
    expect(planOf(name, inches, length).design.toString()).toBe(load);
  });
  it.each([
    // 75 % of 10,800 at 60,000 lbf/min, the rest at a third a minute: always 45 s.
    ['III', 12, 8, 60_000, 3600, 8.1, 45],
    ['III', 36, 8, 60_000, 10_800, 24.3, 45],
    // A third of 192,000 would be faster than the first rate: both are 60,000.
    ['V', 96, 8, 60_000, 60_000, 144, 48],
  ] as const)('class %s of %i in, %i ft: %i and %i lbf/min, %f and %f s', (...told) => {
    const [name, inches, length, ...wanted] = told;
    const { first, second, firstSeconds, secondSeconds } = planOf(name, inches, length);
    expect([first, second, firstSeconds, secondSeconds].map(Number)).toEqual(
      wanted.map((each) => expect.closeTo(each, 6)),
    );
  });
  it('takes a least time that does not hang on its length', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 16 }), fc.constantFrom(12, 24, 48, 72), (length, inches) => {
        expect(Number(planOf('III', inches, length).firstSeconds)).toBeCloseTo(
          Number(planOf('III', inches, 8).firstSeconds),
          9,
        );
      }),
    );
  });

  const plan = planOf('III', 36, 8);
  it('is kept by this record, and not by one that is pumped on past three quarters', () => {
    const kept = log([0, 0], [30, 15_000], [60, 24_300], [90, 29_000], [110, 32_400]);
    expect(tooFast(kept, plan)).toEqual([]);
    const [broken, ...others] = tooFast(log([0, 0], [60, 24_300], [100, 32_400]), plan);
    expect(broken).toMatchObject({ part: 'second' });
    expect(Number(broken?.rate)).toBeCloseTo(12_150, 6);
    expect(others).toEqual([]);
  });
  it('is held in both parts by one that reaches from one into the other, and in none above', () => {
    expect(tooFast(log([0, 20_000], [10, 31_000]), plan).map(({ part }) => part)).toEqual([
      'first',
      'second',
    ]);
    expect(tooFast(log([0, 20_000], [10, 28_000]), plan).map(({ part }) => part)).toEqual(['second']);
    expect(tooFast(log([0, 32_400], [1, 50_000]), plan)).toEqual([]);
    expect(tooFast(log([0, 30_000], [1, 20_000], [1, 25_000]), plan)).toEqual([]);
  });
});

// ASTM C497 (from memory): 1 in for a foot of diameter and never under 1 in; rubber of 45 to 60.
describe('the strips under a pipe', () => {
  it.each([
    [8, '1', '1'],
    [12, '1', '1'],
    [24, '1', '2'],
    [48, '1', '4'],
  ])('of %i in stand %s to %s in apart', (inches, least, most) => {
    const spacing = spacingOf(feet(inches), limits, 'US');
    expect([spacing.least, spacing.most].map(String)).toEqual([least, most]);
  });
  it.each([
    [24, '2.25', undefined, 'too wide'],
    [24, '2', undefined, 'none'],
    [24, '0.9', undefined, 'too near'],
    // Where one inch is all that is allowed, a sixteenth either way is no trouble.
    [12, '1.06', undefined, 'none'],
    [12, '1.07', undefined, 'too wide'],
    [48, '3', '44', 'too soft'],
    [48, '3', '45', 'none'],
    [48, '3', '60', 'none'],
    [48, '3', '61', 'too hard'],
  ] as const)('under %i in, %s in apart, of %s: %s', (inches, apart, hardness, trouble) => {
    const set = {
      diameter: feet(inches),
      apart: exact(apart),
      ...(hardness ? { hardness: exact(hardness) } : {}),
    };
    expect(stripTrouble(set, limits, 'US')).toBe(trouble);
  });
});
