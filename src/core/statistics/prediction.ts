import type { FittedLine } from './line';
import { studentT } from './student';

/** Where the next value beside a line is expected, and how far a part of such values lie from it at most. */
export interface Prediction {
  readonly expected: number;
  /** Standard deviation of one value about what is expected. */
  readonly spread: number;
  readonly half: number;
}

/**
 * What a least-squares line says of one more value at a place.
 * @param count points that the line was fitted through, at least 3
 * @param within part of such values that come to lie within `expected` ± `half`, 0 to 1
 * @throws RangeError for fewer points or a part outside of 0 to 1
 * Source: prediction interval of a least-squares line, any handbook of statistics.
 */
export function predictionAt(line: FittedLine, count: number, x: number, within: number): Prediction {
  const spread = line.residual * Math.sqrt(1 + 1 / count + (x - line.mean.x) ** 2 / line.sums.xx);
  return {
    expected: line.intercept + line.slope * x,
    spread,
    half: studentT((1 + within) / 2, count - 2) * spread,
  };
}
