import type { Limits } from '../limits';
import { type Exact, largest, meanOf, type System } from '../quantity';

/** The pieces of one cap against what its strength allows; lengths in in or mm. */
export interface CapThickness {
  readonly pieces: number;
  readonly mean: Exact;
  readonly most: Exact;
  readonly allowedMean: Exact;
  readonly allowedAny: Exact;
  /** False while there are too few pieces to be a determination. */
  readonly determined: boolean;
  readonly fits: boolean;
}

/**
 * Thickness of a cap, by the strength that the specimen proved, not by the planned one.
 * @param strength psi or MPa; undefined while it is not known: the stricter row then holds
 * Source: ASTM C617/C617M table (from memory).
 */
export function capThickness(
  pieces: readonly Exact[],
  strength: Exact | undefined,
  system: System,
  limits: Limits,
): CapThickness | undefined {
  if (pieces.length === 0) return undefined;
  const low = strength?.lessThanOrEqualTo(limits.number('caps.thick-switch', system)) ?? false;
  const allowedMean = limits.number(low ? 'caps.thick-mean-low' : 'caps.thick-mean-high', system);
  const allowedAny = limits.number(low ? 'caps.thick-any-low' : 'caps.thick-any-high', system);
  const [mean, most] = [meanOf(pieces), largest(pieces)];
  return {
    pieces: pieces.length,
    mean,
    most,
    allowedMean,
    allowedAny,
    determined: pieces.length >= limits.number('caps.pieces', system).toNumber(),
    fits: mean.lessThanOrEqualTo(allowedMean) && most.lessThanOrEqualTo(allowedAny),
  };
}
