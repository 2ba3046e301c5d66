import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type EstimateRules, estimateLater, GROWTHS, type GrowthId, growthShare, strengthCuredAt } from '.';

const RULES: EstimateRules = { shown: 10, relied: 30, usual: 0.7, usualLeast: 0.6, usualMost: 0.82 };
const pairs = fc.array(
  fc.record({
    early: fc.double({ min: 2000, max: 6000, noNaN: true }),
    later: fc.double({ min: 3000, max: 9000, noNaN: true }),
  }),
  { minLength: 0, maxLength: 40 },
);
const early = fc.double({ min: 2000, max: 6000, noNaN: true });

describe('an estimate', () => {
  it('lies between its ends, and says how many pairs it comes from', () => {
    fc.assert(
      fc.property(pairs, early, (own, at) => {
        const found = estimateLater(own, at, RULES, 5000);
        expect(found.low).toBeLessThanOrEqual(found.expected);
        expect(found.high).toBeGreaterThanOrEqual(found.expected);
        expect(found.pairs).toBe(own.length >= RULES.shown ? own.length : 0);
        expect(found.chance === null).toBe(own.length < RULES.shown);
      }),
    );
  });
  it('has less chance the more is asked, between nought and one', () => {
    fc.assert(
      fc.property(pairs, early, fc.double({ min: 3000, max: 9000, noNaN: true }), (own, at, asked) => {
        fc.pre(own.length >= RULES.shown);
        const chance = (of: number): number => estimateLater(own, at, RULES, of).chance ?? -1;
        expect(chance(asked)).toBeGreaterThanOrEqual(0);
        expect(chance(asked)).toBeLessThanOrEqual(1);
        expect(chance(asked + 200)).toBeLessThanOrEqual(chance(asked) + 1e-9);
      }),
    );
  });
  it('in MPa is the same as in psi', () => {
    fc.assert(
      fc.property(pairs, early, (own, at) => {
        const scaled = own.map((pair) => ({ early: pair.early / 145.0377, later: pair.later / 145.0377 }));
        const [psi, mpa] = [estimateLater(own, at, RULES), estimateLater(scaled, at / 145.0377, RULES)];
        expect(mpa.expected * 145.0377).toBeCloseTo(psi.expected, 4);
        expect(mpa.high * 145.0377).toBeCloseTo(psi.high, 4);
      }),
    );
  });
});

it.each(Object.keys(GROWTHS) as GrowthId[])('%s gains from day to day', (id) => {
  const shares = [0.5, 1, 2, 3, 7, 14, 28, 56, 90, 365].map((day) => growthShare(id, day));
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  expect(growthShare(id, 28)).toBeCloseTo(1, 1);
});

it('a warmer place is never behind on the first day after both gain', () => {
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 30 }), fc.integer({ min: 1, max: 12 }), (cool, more) => {
      const concrete = { limit: 40, k20: 0.35, start: 0.3, q: 5000 };
      const at = (celsius: number): number => strengthCuredAt(concrete, celsius, 1.5);
      expect(at(cool + more)).toBeGreaterThanOrEqual(at(cool));
    }),
  );
});
