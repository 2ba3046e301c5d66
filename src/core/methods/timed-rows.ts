import { type Exact, exact } from '../quantity';
import { type RowInput, readMeasure } from './fields';
import { wholeRows } from './rows-field';

/** A reading at a time, in seconds from the first of its rows. */
export interface TimedValue {
  readonly seconds: Exact;
  readonly value: Exact;
}

/**
 * Rows of a moment `at` and a measured column, in the order of time.
 * @param column the name of the measured column
 */
export function timedRows<R extends RowInput & { at?: string }>(
  rows: readonly R[] | undefined,
  column: keyof R & string,
): TimedValue[] {
  const read = wholeRows(rows)
    .flatMap((row) => {
      const value = readMeasure(row, column)?.value;
      return value ? [{ at: Date.parse(row.at ?? ''), value }] : [];
    })
    .filter(({ at }) => !Number.isNaN(at))
    .toSorted((a, b) => a.at - b.at);
  const start = read[0]?.at ?? 0;
  return read.map(({ at, value }) => ({ seconds: exact(at - start).div(1000), value }));
}
