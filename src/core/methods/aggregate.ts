import { cite, isWithin, type LimitId, type Limits } from '../limits';
import { plainOf, type System } from '../quantity';
import { type Finding, finding } from '../working';
import { factMeasure } from './facts';
import type { RunSetup } from './setup';

/**
 * Finds concrete whose aggregate is too large for what it is filled into, and that was not wet-sieved.
 * @param limit entry of the register: the largest aggregate
 * @param vessel what it is filled into, as a word: `cone`
 * @param action what is done about it
 */
export function aggregateFindings(
  input: { readonly wetSieved?: boolean; readonly system: System },
  limit: LimitId,
  vessel: string,
  action: string,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const largest = limits.of(limit, input.system);
  const aggregate = factMeasure(setup, 'aggregate', 'length', largest.unit);
  if (!aggregate || isWithin(aggregate, largest) || input.wetSieved === true) return [];
  return [
    finding({
      id: largest.id,
      severity: 'invalid',
      fields: ['wetSieved'],
      limit: cite(largest),
      message: `The aggregate of this mix, ${plainOf(aggregate, largest.unit)}, is too large for the ${vessel}.`,
      action,
    }),
  ];
}
