import { fitLine, type Point } from '../statistics';

/** A result of a source, or of what is made with it, ms since 1970. */
export interface Told {
  readonly at: number;
  readonly value: number;
}

/** Results of what is made with a source, each beside the newest of the source before it. */
export interface Follows {
  readonly pairs: readonly (Point & { readonly at: number })[];
  /** Of −1 to 1; undefined where either never changes. */
  readonly correlation: number | undefined;
  /** What it rises by where the source rises by one. */
  readonly slope: number | undefined;
  /** Least correlation that chance alone passes once in twenty. */
  readonly chance: number;
  /** True where it is more than chance. */
  readonly does: boolean;
}

const DAY = 86_400_000;
/** Days that a result of a source stands for: so long a silo lasts. Our choice. */
const STANDS = 14;
/** Pairs from which anything is told. Our choice. */
export const FEWEST_PAIRS = 10;
/** Two-sided one in twenty of the normal distribution. */
const TWO_SIDED = 1.96;

/**
 * Whether what is made with a source follows it: each of its results beside the newest of the source before it.
 * @param source its results at one age @param made results of one mix at one age
 * @returns undefined for fewer than ten pairs
 * Source: product-moment correlation; its chance by Fisher’s transformation, n − 3 (any handbook).
 */
export function followsOf(source: readonly Told[], made: readonly Told[]): Follows | undefined {
  const rising = source.toSorted((a, b) => a.at - b.at);
  const pairs = made
    .toSorted((a, b) => a.at - b.at)
    .flatMap(({ at, value }) => {
      const before = rising.findLast((each) => each.at <= at && at - each.at <= STANDS * DAY);
      return before ? [{ x: before.value, y: value, at }] : [];
    });
  if (pairs.length < FEWEST_PAIRS) return undefined;
  const line = fitLine(pairs);
  const correlation =
    line && line.sums.yy > 0 ? line.sums.xy / Math.sqrt(line.sums.xx * line.sums.yy) : undefined;
  const chance = Math.tanh(TWO_SIDED / Math.sqrt(pairs.length - 3));
  return {
    ...{ pairs, correlation, chance },
    slope: line?.slope,
    does: correlation !== undefined && correlation > chance,
  };
}
