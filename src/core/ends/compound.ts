import type { Limits } from '../limits';
import { type Exact, exact, meanOf, roundTo, type System } from '../quantity';

/** What the cubes of a lot of capping compound came to. */
export interface CompoundStrength {
  readonly each: readonly Exact[];
  /** Unrounded, and as reported. */
  readonly mean: Exact;
  readonly reported: Exact;
  readonly usable: boolean;
}

/** Area of a 2 in [50 mm] cube, in² or mm². */
const AREA: Readonly<Record<System, Exact>> = { US: exact(4), SI: exact(2500) };

/**
 * Strength of a lot of capping compound from its cubes.
 * @param loads lbf or kN, of three 2 in [50 mm] cubes
 * @returns usable only from the least strength on; its mean is the strongest concrete it may cap
 * Source: ASTM C617/C617M (from memory): f = P / 4 in² [P / 2500 mm²], to 10 psi [0.1 MPa].
 */
export function compoundStrength(
  loads: readonly Exact[],
  system: System,
  limits: Limits,
): CompoundStrength | undefined {
  if (loads.length < 3) return undefined;
  const each = loads.map((load) => load.times(system === 'SI' ? 1000 : 1).div(AREA[system]));
  const mean = meanOf(each);
  const reported = roundTo(mean, system === 'US' ? '10' : '0.1', 'half-even');
  return {
    each,
    mean,
    reported,
    usable: reported.greaterThanOrEqualTo(limits.number('caps.lot-strength', system)),
  };
}

/**
 * Compound to melt for a batch.
 * @param cylinders how many of which diameter, in
 * @param thickness of a cap, in
 * @returns pounds, with three tenths for waste; the heel of the pot comes on top
 * Source: common practice, no source: sulfur mortar weighs about 0.075 lb/in³; the waste is our choice.
 */
export function compoundToMelt(
  cylinders: readonly { readonly count: number; readonly diameter: number }[],
  thickness: number,
): number {
  const volume = cylinders.reduce(
    (sum, { count, diameter }) => sum + (count * 2 * Math.PI * diameter ** 2 * thickness) / 4,
    0,
  );
  return 1.3 * volume * 0.075;
}
