import { isWithin, type Limits } from '../limits';
import { type Exact, exact, type System } from '../quantity';

/** How far the lower strips stand apart: between their inner sides, in or mm. */
export interface Spacing {
  readonly least: Exact;
  readonly most: Exact;
}

/**
 * The spacing of the lower strips under a pipe.
 * @param diameter designated, ft or m
 * Source: ASTM C497 (from memory): no more than 1 in for each foot of diameter, and never under 1 in.
 */
export function spacingOf(diameter: Exact, limits: Limits, system: System): Spacing {
  const least = limits.number('teb.strip-least', system);
  const most = limits.number('teb.strip', system).times(diameter);
  return { least, most: most.greaterThan(least) ? most : least };
}

/** What is wrong with a set of strips. */
export type StripTrouble = 'none' | 'too wide' | 'too near' | 'too soft' | 'too hard';

/**
 * Whether strips may bear a pipe.
 * @param diameter ft or m @param apart in or mm @param hardness of rubber, type A; absent for wood
 * Source: ASTM C497 (from memory).
 */
export function stripTrouble(
  { diameter, apart, hardness }: { diameter: Exact; apart: Exact; hardness?: Exact },
  limits: Limits,
  system: System,
): StripTrouble {
  const { least, most } = spacingOf(diameter, limits, system);
  // Where only one spacing is allowed nobody sets it to the last hair.
  const off = least.equals(most) ? limits.number('teb.strip-small', system) : exact(0);
  if (apart.greaterThan(most.plus(off))) return 'too wide';
  if (apart.lessThan(least.minus(off))) return 'too near';
  const rubber = limits.of('teb.rubber', system);
  if (!hardness || isWithin(hardness, rubber)) return 'none';
  return hardness.lessThan(rubber.low ?? 0) ? 'too soft' : 'too hard';
}
