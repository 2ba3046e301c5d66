import type { LimitId, Limits } from '../limits';
import type { Exact } from '../quantity';
import { type Spread, withinSpreads } from '../statistics';

/** How well a laboratory repeats itself, as it is called. */
export type WithinClass = 'excellent' | 'very good' | 'good' | 'fair' | 'poor';

const UP_TO: readonly (readonly [LimitId, WithinClass])[] = [
  ['within.excellent', 'excellent'],
  ['within.very-good', 'very good'],
  ['within.good', 'good'],
  ['within.fair', 'fair'],
];

/**
 * The class of a within-test coefficient of variation, field conditions.
 * @param coefficient percent
 * Source: ACI 214R table (from memory): excellent below 3, very good to 4, good to 5, fair to 6, poor beyond.
 */
export function withinClass(coefficient: Exact, limits: Limits): WithinClass {
  const found = UP_TO.find(([id], index) => {
    const most = limits.number(id, 'US');
    return index === 0 ? coefficient.lessThan(most) : coefficient.lessThanOrEqualTo(most);
  });
  return found?.[1] ?? 'poor';
}

/**
 * The within-test variation over the last sets, again after each set: whether the laboratory drifts.
 * @param spreads of full sets of one size in the order they were broken
 * @returns a coefficient in percent for every set from the tenth on; empty while there are fewer
 * Source: ACI 214R (from memory): V₁ = 100 R̄ / (d₂ X̄), over at least ten sets.
 */
export function withinTrend(spreads: readonly Spread[], size: number, limits: Limits): readonly Exact[] {
  const count = limits.number('within.sets', 'US').toNumber();
  return spreads.flatMap((_, index) => {
    const some = spreads.slice(index + 1 - count, index + 1);
    return index + 1 < count ? [] : (withinSpreads(some, size)?.coefficient ?? []);
  });
}
