import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MaturityFunction } from '../temperature';
import {
  CURVES,
  cementSpeed,
  decisionAt,
  errorAt,
  fitCurve,
  hoursUntil,
  indexFor,
  lowerAt,
  projected,
  type StrengthCurve,
  strengthAt,
} from '.';

const INDEX = [560, 1650, 3900, 7700, 15_400];
const NURSE: MaturityFunction = { kind: 'nurse-saul', datum: 0 };
const CAUTION = { confidence: 0.9, allowance: 0.9 };

/** Breaks of a mix that gains by a hyperbola, two of each age, scattered. */
const breaks = fc
  .tuple(
    fc.double({ min: 2500, max: 9000, noNaN: true }),
    fc.double({ min: 2e-4, max: 9e-4, noNaN: true }),
    fc.array(fc.double({ min: -0.03, max: 0.03, noNaN: true }), { minLength: 10, maxLength: 10 }),
  )
  .map(([su, k, noise]) =>
    INDEX.flatMap((index, age) =>
      [0, 1].map((place) => ({
        index,
        strength: ((su * k * index) / (1 + k * index)) * (1 + (noise[2 * age + place] ?? 0)),
      })),
    ),
  );
const curveOf = (id: (typeof CURVES)[number], points: Parameters<typeof fitCurve>[1]): StrengthCurve => {
  const curve = fitCurve(id, points);
  if (!curve) throw new Error('no curve');
  return curve;
};

describe('curves of any mix', () => {
  it.each(CURVES)('%s: what may be counted on lies under the lower edge, and that under the curve', (id) => {
    fc.assert(
      fc.property(breaks, fc.double({ min: 600, max: 15_000, noNaN: true }), (points, index) => {
        const curve = curveOf(id, points);
        const [best, lower, counted] = [
          strengthAt(curve, index),
          lowerAt(curve, index, 0.9),
          decisionAt(curve, index, CAUTION),
        ];
        expect(lower).toBeLessThanOrEqual(best);
        expect(counted).toBeLessThan(lower + 1e-9);
        expect(errorAt(curve, index)).toBeGreaterThanOrEqual(0);
        // More confidence costs more.
        expect(lowerAt(curve, index, 0.99)).toBeLessThanOrEqual(lower);
      }),
      { numRuns: 30 },
    );
  });

  it.each(CURVES)('%s: the index that is asked comes to what is asked', (id) => {
    fc.assert(
      fc.property(breaks, fc.double({ min: 0.3, max: 0.9, noNaN: true }), (points, share) => {
        const curve = curveOf(id, points);
        const [from, to] = curve.range;
        const [least, most] = [decisionAt(curve, from, CAUTION), decisionAt(curve, to, CAUTION)];
        const wanted = least + (most - least) * share;
        const index = indexFor(curve, wanted, CAUTION);
        expect(index).toBeGreaterThanOrEqual(from);
        expect(index).toBeLessThanOrEqual(to);
        expect(decisionAt(curve, index ?? 0, CAUTION)).toBeCloseTo(wanted, 3);
        expect(indexFor(curve, most * 1.01, CAUTION)).toBeUndefined();
      }),
      { numRuns: 30 },
    );
  });

  it.each(CURVES)('%s: in MPa it is the same curve as in psi', (id) => {
    fc.assert(
      fc.property(breaks, (points) => {
        const [psi, mpa] = [
          curveOf(id, points),
          curveOf(
            id,
            points.map(({ index, strength }) => ({ index, strength: strength / 145.0377 })),
          ),
        ];
        for (const index of INDEX)
          expect(strengthAt(mpa, index) * 145.0377).toBeCloseTo(strengthAt(psi, index), 0);
        expect((mpa.scatter * 145.0377) / psi.scatter).toBeCloseTo(1, 2);
      }),
      { numRuns: 20 },
    );
  });

  it('does not hang on the order of the breaks', () => {
    fc.assert(
      fc.property(breaks, (points) => {
        const [one, other] = [curveOf('hyperbolic', points), curveOf('hyperbolic', points.toReversed())];
        for (const [place, value] of one.parameters.entries())
          expect(other.parameters[place]).toBeCloseTo(value, 6);
      }),
      { numRuns: 15 },
    );
  });

  it('of breaks that say nothing is none, or one of plain numbers', () => {
    const point = fc.record({
      index: fc.double({ min: -10, max: 20_000, noNaN: true }),
      strength: fc.double({ min: -10, max: 9000, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(point, { maxLength: 14 }), fc.constantFrom(...CURVES), (points, id) => {
        const curve = fitCurve(id, points);
        if (!curve) return;
        for (const value of [...curve.parameters, ...curve.errors]) expect(Number.isFinite(value)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});

describe('a forecast', () => {
  const air = fc.double({ min: 2, max: 35, noNaN: true });
  it('comes sooner in warmer air, and later for more that is missing', () => {
    fc.assert(
      fc.property(
        air,
        fc.double({ min: 0.5, max: 10, noNaN: true }),
        fc.double({ min: 50, max: 1500, noNaN: true }),
        (cold, more, missing) => {
          const at = (celsius: number, left: number): number =>
            hoursUntil(NURSE, left, { now: 20, air: [celsius], constant: 25 }) ?? Number.POSITIVE_INFINITY;
          expect(at(cold + more, missing)).toBeLessThanOrEqual(at(cold, missing));
          expect(at(cold, missing + 50)).toBeGreaterThanOrEqual(at(cold, missing));
        },
      ),
    );
  });
  it('of concrete that is as warm as the air is missing over temperature', () => {
    fc.assert(
      fc.property(air, fc.double({ min: 10, max: 900, noNaN: true }), (celsius, missing) => {
        const found = hoursUntil(NURSE, missing, { now: celsius, air: [celsius], constant: 30 });
        if (missing / celsius < 1400) expect(found).toBeCloseTo(missing / celsius, 6);
      }),
    );
  });
  it('carried on to its own index a strength is what it was', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 9000, noNaN: true }),
        fc.double({ min: 500, max: 9000, noNaN: true }),
        (strength, index) => {
          expect(projected({ strength, index }, 2500, index)).toBeCloseTo(strength, 9);
          expect(projected({ strength, index }, 2500, index * 10)).toBeCloseTo(strength + 2500, 6);
        },
      ),
    );
  });
});

it('rates by Arrhenius give back the activation energy that they were made with', () => {
  fc.assert(
    fc.property(fc.double({ min: 2000, max: 9000, noNaN: true }), (q) => {
      const speeds = [6, 15, 24, 33].map((celsius) => ({
        celsius,
        k: 0.3 * Math.exp(-q * (1 / (celsius + 273.15) - 1 / 293.15)),
      }));
      expect(cementSpeed(speeds)?.q).toBeCloseTo(q, 3);
      expect(cementSpeed(speeds)?.activationFit).toBeCloseTo(1, 9);
    }),
  );
});
