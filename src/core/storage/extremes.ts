import { isWithin, type Limit, type LimitId, type Limits } from '../limits';
import type { Exact } from '../quantity';
import type { StorageKind } from './duties';

/** The row that the temperatures of a place are held to. */
const HELD: Readonly<Record<StorageKind, LimitId>> = {
  tank: 'curing.final-temperature',
  room: 'curing.final-temperature',
  cabinet: 'cement.cabinet',
};

/** How a place is called. */
export const STORAGE_WORDS: Readonly<Record<StorageKind, string>> = {
  tank: 'Tank',
  room: 'Moist room',
  cabinet: 'Moist cabinet',
};

/**
 * Whether the lowest and the highest of a stretch of a record lie within what a place is held to.
 * @param lowest, highest °F
 * @returns the limit, and whether either lies outside
 */
export function extremesHeld(
  kind: StorageKind,
  lowest: Exact,
  highest: Exact,
  limits: Limits,
): { readonly limit: Limit; readonly outside: boolean } {
  const limit = limits.of(HELD[kind], 'US');
  return { limit, outside: !isWithin(lowest, limit) || !isWithin(highest, limit) };
}
