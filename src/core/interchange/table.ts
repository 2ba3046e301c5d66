import { DateTime } from 'luxon';
import Papa from 'papaparse';

/** A table out of a file: rows by column name, with the line each stands on, the header being line 1. */
export interface TextTable {
  readonly columns: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: Readonly<Record<string, string>> }[];
  /** What is wrong with the file as a whole; no rows then. */
  readonly problem: string | null;
}

const LARGEST = 20_000;

/** What separates the columns: of those that are usual, the one that the header has most of. Rows may hold others. */
function delimiterOf(text: string): string {
  const [header = ''] = text.split(/\r?\n|\r/u, 1);
  const count = (sign: string): number => header.split(sign).length;
  return [',', ';', '\t', '|'].toSorted((a, b) => count(b) - count(a))[0] ?? ',';
}

/**
 * Reads a file of comma-, semicolon- or tab-separated rows under a header. Column names lose case and spaces.
 * @param needed columns that must be there
 */
export function readTable(text: string, needed: readonly string[]): TextTable {
  const none = (problem: string): TextTable => ({ columns: [], rows: [], problem });
  const plain = text.replace(/^\uFEFF/u, '');
  const { data } = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter: delimiterOf(plain) });
  const header = (data[0] ?? []).map((name) =>
    name
      .trim()
      .toLowerCase()
      .replace(/[\s-]+/gu, '_'),
  );
  if (header.every((name) => name === '')) return none('The file is empty: a header row is expected.');
  const missing = needed.filter((name) => !header.includes(name));
  if (missing.length > 0) {
    return none(
      `Missing ${missing.length === 1 ? 'column' : 'columns'}: ${missing.join(', ')}. Found: ${header.join(', ')}.`,
    );
  }
  if (data.length > LARGEST) return none(`More than ${LARGEST} rows: split the file.`);
  const rows = data.slice(1).flatMap((cells, index) => {
    if (cells.every((cell) => cell.trim() === '')) return [];
    const pairs = header.map((name, column) => [name, (cells[column] ?? '').trim()] as const);
    return [{ line: index + 2, cells: Object.fromEntries(pairs.filter(([name]) => name !== '')) }];
  });
  return { columns: header, rows, problem: null };
}

/** A number as files write it, decimal comma borne: plain decimal text, or null. */
export function plainNumber(text: string): string | null {
  const plain = text.trim().replace(',', '.');
  return /^-?(?:\d+\.?\d*|\.\d+)$/u.test(plain) ? plain : null;
}

const CLOCKS = ['yyyy-MM-dd HH:mm', 'yyyy-MM-dd HH:mm:ss', 'dd.MM.yyyy HH:mm', 'dd.MM.yyyy HH:mm:ss'];

/**
 * A date and clock as files write them: ISO 8601 with or without its offset, or `14.05.2031 10:15`.
 * @param zone time zone of those that say none
 * @returns ISO 8601 in UTC, or null
 */
export function instantOf(text: string, zone: string): string | null {
  const plain = text.trim();
  const iso = /^\d{4}-\d\d-\d\d[T ]\d\d:\d\d/u.test(plain)
    ? DateTime.fromISO(plain.replace(' ', 'T'), { zone })
    : DateTime.invalid('not ISO');
  const found = iso.isValid
    ? iso
    : CLOCKS.map((format) => DateTime.fromFormat(plain, format, { zone })).find(({ isValid }) => isValid);
  return found?.isValid ? found.toUTC().toISO() : null;
}
