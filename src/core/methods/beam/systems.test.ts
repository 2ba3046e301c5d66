import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import type { Method } from '../contract';
import { findMethod } from '../registry';

const [INCH, LBF] = [25.4, 4.4482216152605];
const PSI = LBF / INCH ** 2;

/** What a beam came to, unrounded, in the unit of its system. */
function strength(
  id: 'beam-third-point' | 'beam-centre-point' | 'beam-bending',
  system: 'US' | 'SI',
  given: {
    readonly P: number;
    readonly L: number;
    readonly b: number;
    readonly d: number;
    readonly a: number;
  },
): number {
  const method = findMethod(id) as Method;
  const [force, length] = system === 'US' ? [1, 1] : [LBF / 1000, INCH];
  const text = (value: number, places: number): string => value.toFixed(places);
  const places = system === 'US' ? 4 : 6;
  const size = Object.fromEntries(
    [1, 2, 3].flatMap((index) => [
      [`width${index}`, text(given.b * length, places)],
      [`depth${index}`, text(given.d * length, places)],
      [`a${index}`, text(given.a * length, places)],
    ]),
  );
  const { input } = usableInput(method, {
    system,
    maximumLoad: text(given.P * force, 6),
    span: text(given.L * length, places),
    place: text(given.a * length, places),
    made: 'moulded',
    side: 'side',
    loading: 'third',
    kind: 'plain',
    ...size,
  });
  const { results } = method.compute(input, {});
  const of = (quantity: string) => results.find((each) => each.quantity === quantity)?.value;
  return Number(of('modulus of rupture') ?? of('stress at the peak'));
}

const beams = fc.record({
  P: fc.integer({ min: 3000, max: 14_000 }),
  b: fc.integer({ min: 588, max: 620 }).map((value) => value / 100),
  d: fc.integer({ min: 588, max: 620 }).map((value) => value / 100),
  a: fc.integer({ min: 520, max: 900 }).map((value) => value / 100),
});

// NIST SP 811 (from memory): 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N.
describe.each(['beam-third-point', 'beam-centre-point', 'beam-bending'] as const)('%s', (id) => {
  it('gives the same strength in pounds and inches as in kilonewtons and millimetres', () => {
    fc.assert(
      fc.property(beams, (beam) => {
        const us = strength(id, 'US', { ...beam, L: 18 });
        const si = strength(id, 'SI', { ...beam, L: 18 });
        expect(Number.isFinite(us)).toBe(true);
        expect(Math.abs((si / PSI) * 1 - us) / us).toBeLessThan(2e-5);
      }),
      { numRuns: 40 },
    );
  });
  it('grows with the load, and falls with width and with the square of the depth', () => {
    fc.assert(
      fc.property(beams, fc.double({ min: 0.8, max: 1.2, noNaN: true }), (beam, times) => {
        const own = { ...beam, L: 18, a: 8 };
        const one = strength(id, 'US', own);
        expect(strength(id, 'US', { ...own, P: own.P * times }) / one).toBeCloseTo(times, 4);
        const [wider, deeper] = [6.2 / own.b, 6.2 / own.d];
        expect(strength(id, 'US', { ...own, b: 6.2 }) / one).toBeCloseTo(1 / wider, 3);
        expect(strength(id, 'US', { ...own, d: 6.2 }) / one).toBeCloseTo(1 / deeper ** 2, 3);
      }),
      { numRuns: 25 },
    );
  });
});

describe('one load on one beam', () => {
  it('stresses it half as much again in the middle as at the third points', () => {
    fc.assert(
      fc.property(beams, (beam) => {
        const own = { ...beam, L: 18, a: 8.5 };
        const [third, centre] = (['beam-third-point', 'beam-centre-point'] as const).map((id) =>
          strength(id, 'US', own),
        );
        expect((centre ?? 0) / (third ?? 1)).toBeCloseTo(1.5, 6);
      }),
      { numRuns: 25 },
    );
  });
});
