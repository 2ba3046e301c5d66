import { isLimitId, type Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { AGGREGATES } from './products';

const HOURS = [4, 3, 2, 1] as const;

/**
 * Hours of fire resistance that an equivalent thickness is listed for.
 * @param thickness mean of full units, in or mm @param aggregate as it is stored
 * @returns whole hours, 0 below the first; undefined where the aggregate is not known
 * Source: TMS 216.1, its table for masonry of concrete (from memory). It is for the design professional to use.
 */
export function fireHours(
  thickness: Exact,
  aggregate: string | undefined,
  limits: Limits,
  system: System,
): number | undefined {
  if (aggregate === undefined || !Object.hasOwn(AGGREGATES, aggregate)) return undefined;
  const reached = HOURS.find((hours) => {
    const id = `unit.fire-${aggregate}-${hours}`;
    return isLimitId(id) && thickness.greaterThanOrEqualTo(limits.number(id, system));
  });
  return reached ?? 0;
}
