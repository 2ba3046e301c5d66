import { type Exact, exact, meanOf } from '../../quantity';

/** A unit with its received mass. */
export interface Weighed {
  readonly label: string;
  readonly mass: Exact;
}

export interface Split {
  /** Labels of the first group, in the order they were given. */
  readonly first: readonly string[];
  /** Mean masses of the groups apart, in percent of the mean of all. */
  readonly apart: Exact;
}

/**
 * Two groups of equal number whose mean masses lie as near one another as they can: every way is tried.
 * @param units as many as both groups take; lb or kg
 * @returns undefined for less than two, or an odd number; of equal ways that which leaves the given order alone most
 * Source: arithmetic; ASTM C140/C140M asks for units of like mass in both groups (from memory).
 */
export function bestSplit(units: readonly Weighed[]): Split | undefined {
  const half = units.length / 2;
  if (units.length < 2 || !Number.isInteger(half) || units.length > 12) return undefined;
  const middle = meanOf(units.map(({ mass }) => mass));
  let best: Split | undefined;
  for (const first of choices(units, half)) {
    const second = units.filter((unit) => !first.includes(unit));
    const means = [first, second].map((each) => meanOf(each.map(({ mass }) => mass)));
    const apart = (means[0] ?? exact(0))
      .minus(means[1] ?? exact(0))
      .abs()
      .div(middle)
      .times(100);
    if (!best || apart.lessThan(best.apart)) best = { first: first.map(({ label }) => label), apart };
  }
  return best;
}

/** Every choice of so many, in the order given. */
function* choices<T>(all: readonly T[], count: number): Generator<readonly T[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (const [place, one] of all.entries())
    for (const rest of choices(all.slice(place + 1), count - 1)) yield [one, ...rest];
}
