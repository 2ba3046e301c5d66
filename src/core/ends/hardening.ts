import type { Limits } from '../limits';
import { type Exact, exact, type System } from '../quantity';

export type CapKind = 'sulfur' | 'gypsum';

/**
 * Hours that caps harden before the test.
 * @param strength psi or MPa, planned or proved; undefined: nothing is known, the longer time holds
 * @param planned a plan keeps a margin below the dividing strength, a judgement afterwards does not
 * @param shown hours that the material's qualification showed to be enough for strong concrete, where it did
 * Source: ASTM C617/C617M (from memory): 2 h, from 5,000 psi [35 MPa] on 16 h; the margin is our choice.
 */
export function hardeningHours(
  kind: CapKind,
  strength: Exact | undefined,
  system: System,
  limits: Limits,
  planned: boolean,
  shown?: Exact,
): { readonly hours: Exact; readonly limit: 'caps.harden-low' | 'caps.harden-high' | 'caps.gypsum-wait' } {
  if (kind === 'gypsum')
    return { hours: limits.number('caps.gypsum-wait', system), limit: 'caps.gypsum-wait' };
  const margin = planned ? limits.number('caps.harden-margin', system) : exact(1);
  const from = limits.number('caps.harden-switch', system).times(margin);
  const high = strength === undefined || strength.greaterThanOrEqualTo(from);
  const limit = high ? 'caps.harden-high' : 'caps.harden-low';
  const hours = limits.number(limit, system);
  return { hours: high && shown?.lessThan(hours) ? shown : hours, limit };
}
