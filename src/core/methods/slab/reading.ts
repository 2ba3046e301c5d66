import type { LimitId } from '../../limits';
import type { Exact } from '../../quantity';
import { factOption } from '../facts';
import type { RunSetup } from '../setup';

/** The edition that a hole is read by: how long it is sealed before. */
export const EDITIONS = [
  { value: 'now', label: 'The present one: sealed for 24 h' },
  { value: '2011', label: 'Up to 2011: sealed for 72 h' },
] as const;
export type Edition = (typeof EDITIONS)[number]['value'];
export const EDITION_IDS: readonly Edition[] = EDITIONS.map(({ value }) => value);

/** From when on the 48 h of service conditions are counted back. */
export const CONDITIONS = [
  { value: 'sealed', label: 'Before the hole is sealed, and since' },
  { value: 'read', label: 'Before it is read, its wait within them' },
] as const;
export type Conditions = (typeof CONDITIONS)[number]['value'];
export const CONDITION_IDS: readonly Conditions[] = CONDITIONS.map(({ value }) => value);

/** The row that says how long a hole is sealed before it is read. Source: ASTM F2170, its editions (from memory). */
export function sealedRow(setup: RunSetup): LimitId {
  return factOption(setup, 'edition', EDITION_IDS) === '2011' ? 'slab.sealed-2011' : 'slab.sealed';
}

/**
 * What a reading may be, where its uncertainty is added before it is held against what is allowed.
 * @param allowed,added percent
 * Source: Nordic practice (from memory).
 */
export function lessUncertainty(allowed: Exact, added: Exact | undefined): Exact {
  return added ? allowed.minus(added) : allowed;
}
