import { exact } from '../quantity';
import type { LimitValue } from './entry';
import type { LimitChange } from './limits';
import { isLimitId, shippedLimit } from './register';

const STATES = ['confirmed', 'set by the laboratory', 'set by the project'] as const;
const SYSTEMS = ['US', 'SI', 'both'] as const;
const PLAIN = /^-?\d{1,12}(?:\.\d{1,12})?$/u;

/**
 * What is wrong with a new value of one end of a limit; null when nothing is. A factor, a step or a tolerance that
 * ships above nought stays above it: nothing can be rounded to 0 or held against less than nothing.
 */
export function limitEndProblem(shipped: string, given: unknown): string | null {
  if (typeof given !== 'string' || !PLAIN.test(given)) return 'A plain number is needed.';
  if (exact(shipped).greaterThan(0) && !exact(given).greaterThan(0)) return 'It must be more than 0.';
  return null;
}

function valueProblem(shipped: LimitValue, given: unknown): string | null {
  if (typeof given !== 'object' || given === null || Array.isArray(given))
    return 'low, high and unit are expected.';
  const value = given as Record<string, unknown>;
  const stranger = Object.keys(value).find((name) => !['low', 'high', 'unit'].includes(name));
  if (stranger) return `"${stranger}" is not one of low, high and unit.`;
  if (value.unit !== shipped.unit) return `unit: "${shipped.unit}" is expected, as the register has it.`;
  for (const end of ['low', 'high'] as const) {
    const own = shipped[end];
    if (own === undefined && value[end] !== undefined) return `${end}: this entry has no such end.`;
    if (own === undefined) continue;
    const problem = limitEndProblem(own, value[end]);
    if (problem) return `${end}: ${problem}`;
  }
  const { low, high } = value as { low?: string; high?: string };
  if (low !== undefined && high !== undefined && exact(low).greaterThan(high))
    return 'low: the lower end is above the upper.';
  return null;
}

/**
 * What is wrong with a change of the register given from outside; null when nothing is.
 * @param id the entry it is for
 */
export function limitChangeProblem(id: string, given: unknown): string | null {
  if (!isLimitId(id)) return 'there is no such limit.';
  if (typeof given !== 'object' || given === null || Array.isArray(given)) return 'an object is expected.';
  const change = given as Partial<Record<keyof LimitChange, unknown>>;
  if (!STATES.some((state) => state === change.status)) return `status: one of ${STATES.join(', ')}.`;
  if (change.edition !== undefined && (typeof change.edition !== 'string' || change.edition.length > 80))
    return 'edition: words, at most 80 characters.';
  const stranger = Object.keys(change).find((name) => !['status', 'edition', ...SYSTEMS].includes(name));
  if (stranger) return `"${stranger}" is not part of a change.`;
  const shipped = shippedLimit(id);
  for (const system of SYSTEMS) {
    const value = change[system];
    if (value === undefined) continue;
    const own = shipped[system];
    const problem = own ? valueProblem(own, value) : 'this entry has no value of its own there.';
    if (problem) return `${system}: ${problem}`;
  }
  return null;
}
