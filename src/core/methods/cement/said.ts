import type { Verdict } from '../../acceptance/criterion';
import type { Limits } from '../../limits';
import {
  CEMENT_TYPE_IDS,
  type CementProperty,
  ORDERED,
  orderedBy,
  propertyRow,
  standardOf,
} from '../../materials/cement/standards';
import type { System } from '../../quantity';
import { exact, unitLabel } from '../../quantity';
import { sourceText } from '../../working';
import type { Result } from '../contract';
import { asked, type FactSources, factFlag, factText } from '../facts';
import type { RunSetup } from '../setup';
import { heldWithin } from '../within';

/** What a test of a cement is told of what is asked for. */
export const CEMENT_FACTS: FactSources = {
  cementType: asked('cementType', { options: CEMENT_TYPE_IDS }),
  ...Object.fromEntries(ORDERED.map(({ field }) => [field, asked(field, 'flag')])),
};

/** What is asked for besides what its standard always asks. */
export function orderedIn(setup: RunSetup): CementProperty[] {
  return orderedBy((field) => factFlag(setup, field));
}

const OUTSIDE =
  'Look at the own test first, then again on the reserve of the sample. The purchaser’s representative decides.';

/**
 * A result held against what its type asks for: as reported, by the rounding method of its standard.
 * @param what as a word @param result nothing is held of one that is provisional
 * @returns none where the type has no such row, or nothing is asked for
 */
export function cementVerdicts(
  setup: RunSetup,
  limits: Limits,
  system: System,
  property: CementProperty,
  what: string,
  result: Result | undefined,
): Verdict[] {
  const type = factText(setup, 'cementType');
  const id = type && propertyRow(type, property, orderedIn(setup));
  if (!id || !standardOf(type)) return [];
  const row = limits.of(id, system);
  const settled = result && !result.provisional ? result : undefined;
  // A bound decides only where it lies on the wrong side already.
  const bound = settled?.bound;
  const value = settled && exact(settled.reported);
  const decides =
    !bound ||
    (bound === 'at least' ? row.high && value?.greaterThan(row.high) : row.low && value?.lessThan(row.low));
  return heldWithin({
    what,
    value:
      settled && value && decides
        ? { number: value, text: `${settled.text} ${unitLabel(settled.unit)}` }
        : undefined,
    low: row.low,
    high: row.high,
    range: row.text,
    source: sourceText(row.source),
    outside: OUTSIDE,
  });
}
