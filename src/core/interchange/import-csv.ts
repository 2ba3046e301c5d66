import Papa from 'papaparse';
import { validateInput } from '../methods';
import { findMethod } from '../methods/registry';
import type { System } from '../quantity';
import { columnsOf } from './columns';
import type { Headings } from './headings';
import { instantOf } from './table';

/** What the importer must know of a specimen named in a file. */
export interface KnownSpecimen {
  readonly label: string;
  readonly system: System;
  /** Why a result may not be added, when it may not: already tested, signed, another job. */
  readonly refused: string | null;
  /** Time zone of its job, for times that say none. */
  readonly zone?: string;
  /** When it was read before by the same method, ms, where it is read again and again. */
  readonly readAt?: readonly number[];
}

export interface ImportRow {
  /** Line in the file, the header being line 1. */
  readonly line: number;
  readonly label: string;
  readonly input: Readonly<Record<string, unknown>>;
  /** What is wrong, by column; empty when the row can be imported. */
  readonly errors: readonly { readonly column: string; readonly message: string }[];
}

export interface ImportPreview {
  readonly rows: readonly ImportRow[];
  /** What is wrong with the file as a whole: no header, no specimen column. */
  readonly problems: readonly string[];
  readonly ignoredColumns: readonly string[];
  /** All columns of the file. */
  readonly columns: readonly string[];
}

const LARGEST = 5000;

/**
 * Reads a CSV of specimens' results and says of each row whether it can be imported.
 * @param text the file's text; comma, semicolon or tab between columns
 * @param methodId the method the readings are of
 * @param known finds a specimen by its label, or by the serial number of what stays in it
 * @param headings what the file's own headings stand for; one that is not named is called as it is called here
 * @returns the rows with their errors; nothing is imported here
 */
export function previewImport(
  text: string,
  methodId: string,
  known: (label: string) => KnownSpecimen | undefined,
  headings: Headings = {},
): ImportPreview {
  const method = findMethod(methodId);
  const none = (problem: string, columns: readonly string[] = []): ImportPreview => ({
    rows: [],
    problems: [problem],
    ignoredColumns: columns,
    columns,
  });
  if (!method) return none(`There is no method "${methodId}".`);
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const [rawHeader, ...body] = parsed.data;
  const header = (rawHeader ?? [])
    .map((name) => name.trim().toLowerCase())
    .map((name) => (Object.hasOwn(headings, name) ? (headings[name] ?? name) : name));
  const at = header.indexOf('specimen');
  if (header.every((name) => name === '')) return none('The file is empty: a header row is expected.');
  const doubled = header.filter((name, index) => name !== '' && header.indexOf(name) !== index);
  if (doubled.length > 0) return none(`Column "${doubled[0]}" stands twice.`);
  if (body.length > LARGEST)
    return none(`The file has ${body.length} rows; at most ${LARGEST} are read at once: split it.`);
  const wanted = method;
  const columns = columnsOf(wanted);
  const strange = header.filter((name) => name !== '' && name !== 'specimen' && !columns.has(name));
  if (at === -1)
    return { ...none('There is no column named "specimen".'), ignoredColumns: strange, columns: header };
  const again = wanted.again === 'freely';
  const seen = new Map<string, number>();
  const rows: ImportRow[] = [];
  body.forEach((cells, index) => {
    const line = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    rows.push(readRow(cells, line));
  });
  return {
    rows,
    problems: rows.length === 0 ? ['There are no rows under the header.'] : [],
    ignoredColumns: strange,
    columns: header,
  };

  function readRow(cells: readonly string[], line: number): ImportRow {
    const named = (cells[at] ?? '').trim();
    const errors: { column: string; message: string }[] = [];
    // It may be named by the serial number of what stays in it.
    const specimen = known(named);
    const label = specimen?.label ?? named;
    if (cells.length > header.length) {
      errors.push({ column: '', message: `The row has ${cells.length} cells, the header ${header.length}.` });
    }
    if (label === '') errors.push({ column: 'specimen', message: 'No specimen is named.' });
    else if (!specimen)
      errors.push({ column: 'specimen', message: `There is no specimen "${label}" you may add to.` });
    else if (specimen.refused) errors.push({ column: 'specimen', message: specimen.refused });
    const system = specimen?.system ?? 'US';
    const input: Record<string, unknown> = { system };
    header.forEach((name, column) => {
      const cell = (cells[column] ?? '').trim();
      const meaning = columns.get(name);
      if (cell === '' || !meaning) return;
      const { field, system: own } = meaning;
      if (field.kind === 'measure') {
        // The column's unit is kept with the reading, so a file in the other system is converted once, exactly.
        const hasUnit = /[a-z"'°%]/iu.test(cell);
        input[field.name] = hasUnit || !own ? cell : `${cell} ${field.unit[own]}`;
      } else if (field.kind === 'check') {
        input[field.name] = /^(true|yes|1)$/iu.test(cell)
          ? true
          : /^(false|no|0)$/iu.test(cell)
            ? false
            : cell;
      } else if (field.kind === 'instant')
        input[field.name] = (specimen?.zone && instantOf(cell, specimen.zone)) || cell;
      else input[field.name] = cell;
    });
    const readAt = again ? Date.parse(String(input[wanted.performedAt] ?? '')) : Number.NaN;
    const key = again ? `${label} ${readAt}` : label;
    const before = seen.get(key);
    if (label !== '' && before !== undefined)
      errors.push({ column: 'specimen', message: `"${label}" stands on line ${before} already.` });
    else seen.set(key, line);
    if (specimen?.readAt?.includes(readAt))
      errors.push({ column: 'specimen', message: `"${label}" was read at that moment already.` });
    const checked = validateInput(wanted, input, { whole: true });
    if (!checked.ok) {
      for (const [name, message] of Object.entries(checked.errors)) {
        const own = [...columns].filter(([, meaning]) => meaning.field.name === name).map(([key]) => key);
        errors.push({ column: own.find((key) => header.includes(key)) ?? own[0] ?? name, message });
      }
    }
    return { line, label, input, errors };
  }
}
