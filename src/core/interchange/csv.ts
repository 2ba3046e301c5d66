import Papa from 'papaparse';

/** A number as we write it: its sign is no formula. */
const PLAIN_NUMBER = /^[-+]?\d+(?:[.,]\d+)*(?:e[-+]?\d+)?$/iu;

/** Text that a spreadsheet would run as a formula is marked as text; a number keeps its sign. */
export function guardFormula(value: string | number | null): string | number | null {
  if (typeof value !== 'string' || PLAIN_NUMBER.test(value)) return value;
  // Spreadsheets pass over leading blanks before they decide what a cell is.
  return /^\s*[=+@\-\t\r\n|%]/u.test(value) || value.startsWith('\t') ? `'${value}` : value;
}

/** The one way a list leaves as CSV: every cell guarded, quoted where it must be. */
export function csvText(
  fields: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string {
  return Papa.unparse({ fields: [...fields], data: rows.map((row) => row.map(guardFormula)) });
}
