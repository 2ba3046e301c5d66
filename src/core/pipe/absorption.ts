import type { LimitAbout } from '../acceptance/criterion';
import type { Exact } from '../quantity';

/** What counts of several pieces of one pipe. */
export const COUNTS = 'absorption that counts';

/**
 * What the wall of a pipe may take up: as the owner asks, else by its method.
 * Source: ASTM C76/C76M (from memory): 9.0 % by method A, 8.5 % by B.
 */
export function absorptionMost({
  asked,
  said,
  limits,
  system,
}: Pick<LimitAbout, 'asked' | 'said' | 'limits' | 'system'>): Exact | undefined {
  return (
    asked('absorptionMost', 'percent') ??
    limits.of(said('absorptionBy') === 'b' ? 'pipe-water.most-b' : 'pipe-water.most-a', system).high
  );
}
