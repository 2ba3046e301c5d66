import { ENDS } from './ends';
import type { LimitEntry } from './entry';
import { FRESH } from './fresh';
import { HARDENED } from './hardened';
import { PRESS_METHODS } from './press-methods';
import { PROFILE_ROWS } from './profiles';

export type { LimitEntry, LimitStatus, LimitValue } from './entry';

/**
 * The register as it ships. All values are recalled from memory (status `recalled`): the laboratory checks each
 * against its own copy of the standard and confirms or changes it.
 */
export const REGISTER = {
  ...HARDENED,
  ...ENDS,
  ...PRESS_METHODS,
  ...FRESH,
  ...PROFILE_ROWS,
} as const satisfies Record<string, LimitEntry>;

export type LimitId = keyof typeof REGISTER;
export const LIMIT_IDS = Object.keys(REGISTER) as LimitId[];

/** True for text that names an entry of the register. */
export function isLimitId(id: string): id is LimitId {
  return Object.hasOwn(REGISTER, id);
}

/** An entry of the register as it ships, seen through the common interface. */
export function shippedLimit(id: LimitId): LimitEntry {
  return REGISTER[id];
}
