import type { Limits } from '../limits';
import { type Exact, exact, meanOf } from '../quantity';
import { RANGE_DIVISORS, standardDeviation } from '../statistics';

/** Two tests of one sample, on different days, in one unit. */
export type Pair = readonly [first: Exact, second: Exact];

/** How a source scatters, and how much of it is the laboratory's own. Strengths in the unit of the results, shares in percent. */
export interface Scatter {
  readonly count: number;
  readonly mean: Exact;
  readonly deviation: Exact;
  readonly share: Exact;
  readonly pairs: number;
  /** Of the laboratory; undefined without a pair. */
  readonly testing?: {
    readonly deviation: Exact;
    readonly share: Exact;
    /** The same from the mean range of the pairs. */
    readonly byRange: Exact;
  };
  /** Of the source alone; undefined where it cannot be told. */
  readonly corrected?: { readonly deviation: Exact; readonly share: Exact };
  /** What has to be known with it, as sentences. */
  readonly remarks: readonly string[];
}

/**
 * The scatter of a source, less that of the testing: S_c = √(S_t² − S_e²), S_e = √(Σd² / 2k).
 * @param results one a sample, in one unit, at least two
 * @param pairs of which each is one sample tested on two days
 * @returns undefined for fewer than two results
 * Source: ASTM C917 (from memory).
 */
export function scatterOf(
  results: readonly Exact[],
  pairs: readonly Pair[],
  limits: Limits,
): Scatter | undefined {
  const deviation = standardDeviation(results);
  if (!deviation) return undefined;
  const mean = meanOf(results);
  const shareOf = (of: Exact): Exact => of.div(mean).times(100);
  const least = limits.number('uniformity.pairs', 'US').toNumber();
  const remarks: string[] = [];
  const base = { count: results.length, mean, deviation, share: shareOf(deviation), pairs: pairs.length };
  const testing = pairs.length > 0 ? testingOf(pairs, shareOf) : undefined;
  if (pairs.length < least || !testing)
    return {
      ...base,
      ...(testing ? { testing } : {}),
      remarks: [
        `${pairs.length} of ${least} second tests: too few to tell the scatter of the laboratory, so nothing is corrected for it.`,
      ],
    };
  const most = limits.number('uniformity.testing-most', 'US');
  const asIs = limits.number('uniformity.testing', 'US');
  if (testing.share.gt(most))
    return {
      ...base,
      testing,
      remarks: [
        `The laboratory scatters by ${testing.share.toFixed(1)} %, more than ${most.toFixed(1)} %: nothing is corrected for it. Look at the testing first.`,
      ],
    };
  const held = testing.share.gt(asIs) ? mean.times(asIs).div(100) : testing.deviation;
  if (testing.share.gt(asIs))
    remarks.push(
      `The laboratory scatters by ${testing.share.toFixed(1)} %: no more than ${asIs.toFixed(1)} % is corrected for.`,
    );
  const left = deviation.pow(2).minus(held.pow(2));
  if (left.isNegative())
    remarks.push(
      'All of the scatter is the laboratory’s own, and more: look at the testing, or wait for more samples. It says nothing good of the plant.',
    );
  const corrected = left.isNegative() ? exact(0) : left.sqrt();
  return { ...base, testing, corrected: { deviation: corrected, share: shareOf(corrected) }, remarks };
}

function testingOf(pairs: readonly Pair[], shareOf: (of: Exact) => Exact): NonNullable<Scatter['testing']> {
  const apart = pairs.map(([first, second]) => first.minus(second).abs());
  const deviation = meanOf(apart.map((each) => each.pow(2)))
    .div(2)
    .sqrt();
  return {
    deviation,
    share: shareOf(deviation),
    byRange: meanOf(apart).div(RANGE_DIVISORS[2] ?? '1.128'),
  };
}
