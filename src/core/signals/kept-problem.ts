import { readInstant } from '../quantity';
import { RECORD_TROUBLES } from './stamped-rows';

/** Hours that any record can have. */
export const MOST_HOURS = 200_000;

/** What came from outside as an object, of which nothing is known yet. */
export type Loose = Readonly<Record<string, unknown>>;

export const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export const isNumber = (value: unknown, most: number): value is number =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= most;
export const isCount = (value: unknown): boolean => Number.isInteger(value) && (value as number) >= 0;
export const isOneOf = (value: unknown, known: readonly string[]): boolean =>
  typeof value === 'string' && known.includes(value);

/** What is wrong with what every kept record says of itself, in one sentence; null when nothing is. */
export function keptProblem({ version, rows, length, start, troubles }: Loose): string | null {
  if (!isCount(version) || !isCount(rows)) return 'version and rows are whole numbers.';
  if (!isNumber(length, MOST_HOURS)) return 'length is a number of hours.';
  if (start !== null && !readInstant(start).ok) return 'start is an instant, or null.';
  if (!Array.isArray(troubles) || !troubles.every((each) => isOneOf(each, RECORD_TROUBLES)))
    return `troubles are of ${RECORD_TROUBLES.join(', ')}.`;
  return null;
}
