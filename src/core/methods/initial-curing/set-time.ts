import type { LimitId, Limits } from '../../limits';
import { convert, type Exact, exact, interpolate, type System } from '../../quantity';

const ROWS: readonly (readonly [number, LimitId])[] = [
  [40, 'curing.set-40'],
  [50, 'curing.set-50'],
  [60, 'curing.set-60'],
  [70, 'curing.set-70'],
  [80, 'curing.set-80'],
  [90, 'curing.set-90'],
  [100, 'curing.set-100'],
];

/**
 * Estimate of the time to final set.
 * @param mean temperature until set, °F or °C
 * @param retarder hours that a retarder adds
 * @returns hours after batching, not below the floor
 * Source: common practice, no source, for the table; the floor is our choice. A measured set replaces it.
 */
export function estimatedSet(mean: Exact, retarder: Exact, system: System, limits: Limits): Exact {
  const degrees = system === 'US' ? mean : convert(mean, 'degC', 'degF');
  const table = ROWS.map(([at, id]) => [exact(at), limits.number(id, system)] as const);
  const hours = interpolate(degrees, table);
  const floor = limits.number('curing.set-floor', system);
  return (hours.lessThan(floor) ? floor : hours).plus(retarder);
}
