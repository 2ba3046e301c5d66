import type { Limits } from '../../limits';
import {
  type Exact,
  largest,
  meanOf,
  type RoundingMode,
  roundTo,
  type System,
  smallest,
} from '../../quantity';
import { Chance } from '../../statistics';

/**
 * The cylinders of a day and one lot of moulds whose diameters are measured, the others taking their mean.
 * @param count cylinders of the day, in their order
 * @param seed decides which: drawn before anything is measured
 * @returns places in the order, three at least and one in ten; all of them where there are no more
 * Source: ASTM C39/C39M (from memory): one in ten or three a day, whichever is more.
 */
export function drawnForDiameter(count: number, seed: number, limits: Limits): number[] {
  const least = limits.number('cylinder.reduced-least', 'US').toNumber();
  const share = limits.number('cylinder.reduced-share', 'US').toNumber();
  const wanted = Math.min(count, Math.max(least, Math.ceil((count * share) / 100)));
  const chance = Chance.settled(seed);
  return Array.from({ length: count }, (_, place) => ({ place, key: chance.between(0, 1) }))
    .toSorted((a, b) => a.key - b.key)
    .slice(0, wanted)
    .map(({ place }) => place)
    .toSorted((a, b) => a - b);
}

/** What the measured cylinders of a lot say of the others. */
export interface LotDiameter {
  /** Between the largest and the smallest mean diameter, in or mm. */
  readonly range: Exact;
  /** False: every cylinder of the lot is measured. */
  readonly good: boolean;
  /** The mean of the measured ones, unrounded and as the others take it. */
  readonly mean: Exact;
  readonly taken: Exact;
}

/**
 * @param means mean diameters of the measured cylinders, in or mm
 * @returns undefined for none
 * Source: ASTM C39/C39M (from memory): all within 0.02 in [0.5 mm], else every cylinder is measured.
 */
export function lotDiameter(
  means: readonly Exact[],
  system: System,
  limits: Limits,
  mode: RoundingMode,
): LotDiameter | undefined {
  if (means.length === 0) return undefined;
  const range = largest(means).minus(smallest(means));
  const mean = meanOf(means);
  return {
    range,
    good: range.lessThanOrEqualTo(limits.number('cylinder.reduced-range', system)),
    mean,
    taken: roundTo(mean, limits.number('cylinder.diameter-step', system), mode),
  };
}
