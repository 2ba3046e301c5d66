import { fitLine } from '../statistics';
import { predictionAt } from '../statistics/prediction';
import { shareBelowT } from '../statistics/student';

/** An early and a later strength of one set, in one unit. */
export interface GainPair {
  readonly early: number;
  readonly later: number;
}

/** What an early strength says of the later one. It decides nothing: the test at the later age does. */
export interface Estimate {
  readonly expected: number;
  readonly low: number;
  readonly high: number;
  /** Pairs of this mix that it comes from; 0 where there are too few and it comes from usual shares. */
  readonly pairs: number;
  /** Share of tests like this one that come to what is asked; null where nothing is asked, or nothing is known of this mix. */
  readonly chance: number | null;
  /** The early strength lies outside of those it comes from. */
  readonly outside: boolean;
  /** Fewer pairs than one would rely on. */
  readonly few: boolean;
}

/** How an estimate is made: pairs from which one is shown, and relied on; usual shares of the later strength. */
export interface EstimateRules {
  readonly shown: number;
  readonly relied: number;
  readonly usual: number;
  readonly usualLeast: number;
  readonly usualMost: number;
}

/** Part of tests like this one that come to lie between its ends. */
const WITHIN = 0.9;

/**
 * The later strength by an early one: by a line through the pairs of the mix with its prediction interval of 90 %, or, where
 * there are too few, by usual shares and their ends.
 * @param asked strength at the later age, in the same unit
 * Source: prediction interval of a least-squares line, any handbook of statistics; counts and shares are our choice.
 */
export function estimateLater(
  pairs: readonly GainPair[],
  early: number,
  rules: EstimateRules,
  asked?: number,
): Estimate {
  const line = fitLine(pairs.map((pair) => ({ x: pair.early, y: pair.later })));
  if (!line || pairs.length < rules.shown) {
    return {
      expected: early / rules.usual,
      low: early / rules.usualMost,
      high: early / rules.usualLeast,
      pairs: 0,
      chance: null,
      outside: false,
      few: true,
    };
  }
  const { expected, spread, half } = predictionAt(line, pairs.length, early, WITHIN);
  const all = pairs.map((pair) => pair.early);
  return {
    expected,
    low: expected - half,
    high: expected + half,
    pairs: pairs.length,
    chance:
      asked === undefined
        ? null
        : spread > 0
          ? 1 - shareBelowT((asked - expected) / spread, pairs.length - 2)
          : expected >= asked
            ? 1
            : 0,
    outside: early < Math.min(...all) || early > Math.max(...all),
    few: pairs.length < rules.relied,
  };
}
