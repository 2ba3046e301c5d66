import type { Method } from './contract';
import { fieldsOf } from './fields';
import { columnsOfRows } from './rows-field';

/** Moments in ms since the epoch. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * From when to when something was read at a test: the first and the last of its moments.
 * @param typed its readings as they were typed, tables as rows
 * @param label of one specimen of a batch: rows of others do not count
 * @returns null while it has no moment
 */
export function readBetween(
  method: Pick<Method, 'Input'>,
  typed: Readonly<Record<string, unknown>>,
  label?: string,
): Span | null {
  const moments = fieldsOf(method.Input).flatMap((field): unknown[] => {
    if (field.kind === 'instant') return [typed[field.name]];
    if (field.kind !== 'rows') return [];
    const rows = typed[field.name];
    const columns = columnsOfRows(field).filter(({ kind }) => kind === 'instant');
    return (Array.isArray(rows) ? (rows as Record<string, unknown>[]) : [])
      .filter(({ specimen }) => label === undefined || specimen === undefined || specimen === label)
      .flatMap((row) => columns.map(({ name }) => row[name]));
  });
  const read = moments.map((text) => Date.parse(String(text ?? ''))).filter((at) => !Number.isNaN(at));
  return read.length > 0 ? { from: Math.min(...read), to: Math.max(...read) } : null;
}
