import { type Exact, exact, largest, meanOf, smallest } from '../quantity';

/**
 * Sample standard deviation, n − 1 in the divisor.
 * @param values at least two results in one unit, in any order
 * @returns the deviation in the same unit; undefined for fewer than two
 * Source: ACI 214R (from memory).
 */
export function standardDeviation(values: readonly Exact[]): Exact | undefined {
  if (values.length < 2) return undefined;
  const mean = meanOf(values);
  const squares = values.map((value) => value.minus(mean).pow(2));
  return meanOf(squares)
    .times(values.length)
    .div(values.length - 1)
    .sqrt();
}

/** Range of a set as a percentage of its mean; undefined for fewer than two values or a mean of zero. */
export function rangePercent(values: readonly Exact[]): Exact | undefined {
  if (values.length < 2) return undefined;
  const mean = meanOf(values);
  if (mean.isZero()) return undefined;
  return largest(values).minus(smallest(values)).div(mean).times(100);
}

/** Divisors that turn a mean range into a standard deviation, by set size. Source: ACI 214R (from memory). */
export const RANGE_DIVISORS: Readonly<Record<number, string>> = {
  2: '1.128',
  3: '1.693',
  4: '2.059',
  5: '2.326',
  6: '2.534',
  7: '2.704',
  8: '2.847',
  9: '2.970',
  10: '3.078',
};

/** How far the results of one set lie apart, and their mean. */
export interface Spread {
  readonly range: Exact;
  readonly mean: Exact;
}

export function spreadOf(set: readonly Exact[]): Spread {
  return { range: largest(set).minus(smallest(set)), mean: meanOf(set) };
}

interface WithinTest {
  readonly deviation: Exact;
  readonly coefficient: Exact;
  readonly meanRange: Exact;
}

/**
 * Within-test standard deviation of sets of one size, and its coefficient of variation.
 * @param sets strengths of the cylinders of each set, one unit, two to ten in each set, all of one size
 * @returns undefined when there is no set, the sizes differ or a size has no divisor
 * Source: ACI 214R (from memory): s₁ = R̄ / d₂, V₁ = 100 s₁ / X̄.
 */
export function withinTest(sets: readonly (readonly Exact[])[]): WithinTest | undefined {
  const size = sets[0]?.length;
  if (size === undefined || sets.some((set) => set.length !== size)) return undefined;
  return withinSpreads(sets.map(spreadOf), size);
}

/** The same of sets whose spread is known already. @param size of every one of them */
export function withinSpreads(spreads: readonly Spread[], size: number): WithinTest | undefined {
  const divisor = RANGE_DIVISORS[size];
  if (divisor === undefined || spreads.length === 0) return undefined;
  const meanRange = meanOf(spreads.map(({ range }) => range));
  const deviation = meanRange.div(divisor);
  const overall = meanOf(spreads.map(({ mean }) => mean));
  if (overall.isZero()) return undefined;
  return { deviation, meanRange, coefficient: deviation.div(overall).times(exact(100)) };
}
