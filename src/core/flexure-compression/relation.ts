import { fitLine } from '../statistics';
import { predictionAt } from '../statistics/prediction';

/** A flexural test and the strength test of the cylinders beside it: one sample, one age, one cure, one unit. */
export interface StrengthPair {
  readonly label: string;
  readonly compression: number;
  readonly flexure: number;
}

/** What the pairs of a concrete say of its flexural strength: R = k·f^n. It informs, and accepts nothing. */
export interface Relation {
  readonly k: number;
  readonly n: number;
  /** Part of the spread of the logarithms that it explains. */
  readonly r2: number;
  readonly pairs: number;
  /** The compressive strengths it comes from: outside of them it says nothing. */
  readonly from: number;
  readonly to: number;
  /** At a compressive strength: what is expected, and where nine in ten flexural tests come to lie. */
  at(compression: number): { readonly expected: number; readonly low: number; readonly high: number };
}

/** Part of tests that come to lie between the ends that are told. */
const WITHIN = 0.9;

/**
 * The relation of flexure to compression of one concrete, by a straight line through the logarithms.
 * @param pairs strengths above zero; others are left out
 * @param fewest pairs from which one is made, at least 3
 * @returns undefined for fewer, or where all were of one compressive strength
 * Source: least squares on logarithms, any handbook of statistics; R = k·f^n is the usual form (ACI 330R, from memory).
 */
export function relationOf(pairs: readonly StrengthPair[], fewest: number): Relation | undefined {
  const usable = pairs.filter(({ compression, flexure }) => compression > 0 && flexure > 0);
  if (usable.length < Math.max(3, fewest)) return undefined;
  const all = usable.map(({ compression }) => compression);
  const [from, to] = [Math.min(...all), Math.max(...all)];
  // Logarithms of one number differ in their last digit: a line through them says anything.
  if (from === to) return undefined;
  const line = fitLine(
    usable.map(({ compression, flexure }) => ({ x: Math.log(compression), y: Math.log(flexure) })),
  );
  if (!line) return undefined;
  return {
    k: Math.exp(line.intercept),
    n: line.slope,
    r2: line.r2,
    pairs: usable.length,
    from,
    to,
    at: (compression) => {
      const { expected, half } = predictionAt(line, usable.length, Math.log(compression), WITHIN);
      return {
        expected: Math.exp(expected),
        low: Math.exp(expected - half),
        high: Math.exp(expected + half),
      };
    },
  };
}
