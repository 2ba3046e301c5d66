import Papa from 'papaparse';
import { type CellSpec, COMPLETE, columnsOfRows, type RowsSpec, validated } from '../methods';
import { type System, unitLabel } from '../quantity';
import { columnOf } from './columns';
import { asTable, bare } from './log-as-table';
import { readMoment } from './moment-text';

/** A row out of pasted text or a file: what each cell is to be saved as, and what is wrong, by column. */
export interface RowRead {
  /** Line in the text, the first being line 1. */
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
  readonly errors: Readonly<Record<string, string>>;
  /** What is wrong with the row as a whole. */
  readonly problem: string | null;
}

export interface RowsRead {
  readonly columns: readonly CellSpec[];
  readonly rows: readonly RowRead[];
  /** Columns of the text that the table does not have. */
  readonly ignored: readonly string[];
}

interface Reading {
  readonly system: System;
  readonly zone: string;
  /** Now, ms since the epoch: times without a date are near it. */
  readonly now: number;
}

/** The most characters that are read at once. */
export const ROWS_TEXT_LENGTH = 200_000;

/**
 * Reads rows of a table from pasted text or a file: tab, semicolon or comma between cells, with a header that names the
 * columns or in their order. With semicolons or tabs a decimal comma is borne.
 * @returns every row, its bad cells with a word each; nothing is saved here
 */
export function readRows(text: string, spec: RowsSpec, about: Reading): RowsRead {
  const columns = columnsOfRows(spec);
  const plain = text.replace(/^\uFEFF/u, '');
  const delimiter = /\t/u.test(plain) ? '\t' : /;/u.test(plain) ? ';' : ',';
  const { data } = Papa.parse<string[]>(plain.slice(0, ROWS_TEXT_LENGTH), {
    delimiter,
    skipEmptyLines: false,
  });
  const { lines, aside } = asTable(
    data.map((cells) => cells.map((cell) => cell.trim())),
    columns,
    spec,
  );
  const first = lines.findIndex((cells) => cells.some((cell) => cell !== ''));
  const head = headOf(lines[first] ?? [], columns);
  const order = head ?? columns.map((column) => ({ column, unit: '' }));
  const rows: RowRead[] = [];
  let near = about.now;
  let begin: number | undefined;
  for (const [index, cells] of lines.entries()) {
    if (cells.every((cell) => cell === '') || (head && index === first)) continue;
    const row = rowOf(cells, order, { ...about, near, begin }, delimiter !== ',');
    const at = columns.find(({ kind }) => kind === 'instant');
    const moment = at && Date.parse(row.cells[at.name] ?? '');
    if (moment) {
      near = moment;
      begin ??= moment;
    }
    rows.push({
      ...row,
      line: index + 1,
      errors: { ...problemsOf(row.cells, spec, about.system), ...row.errors },
    });
  }
  const named = head ?? [];
  return {
    columns,
    rows,
    ignored: [
      ...(head ? (lines[first] ?? []) : []).filter((cell, index) => cell !== '' && !named[index]?.column),
      ...aside,
    ],
  };
}

interface Heading {
  readonly column: CellSpec | undefined;
  /** The unit that the heading carries, for cells that carry none. */
  readonly unit: string;
}

/** What every file may call a specimen. */
const besides = ({ kind }: CellSpec): readonly string[] =>
  kind === 'specimen'
    ? ['specimen', 'specimen_id', 'label']
    : kind === 'instant'
      ? ['time', 'timestamp']
      : [];

/** What a line says as a header; undefined when it is a row like the others. */
function headOf(cells: readonly string[], columns: readonly CellSpec[]): Heading[] | undefined {
  const names = new Map<string, { column: CellSpec; unit: string }>();
  for (const column of columns) {
    for (const name of [column.name, column.label, columnOf(column, 'US'), ...besides(column)])
      names.set(bare(name), { column, unit: '' });
    for (const [name, unit] of Object.entries(column.also ?? {})) names.set(bare(name), { column, unit });
    if (column.kind !== 'measure') continue;
    for (const system of ['US', 'SI'] as const) {
      const unit = column.unit[system];
      names.set(bare(columnOf(column, system)), { column, unit });
      for (const words of [unit, unitLabel(unit)])
        for (const name of [column.name, column.label]) names.set(bare(`${name} ${words}`), { column, unit });
    }
  }
  const found = cells.map((cell) => names.get(bare(cell)));
  const there = cells.filter((cell) => cell !== '').length;
  const known = new Set(found.flatMap((each) => each?.column.name ?? [])).size;
  // One word that is the name of a column may be the name of a thing: a header names at least two, and most.
  const isHead = known === there ? known >= Math.min(2, columns.length) : known >= 2 && known * 2 >= there;
  return isHead ? found.map((each) => each ?? { column: undefined, unit: '' }) : undefined;
}

const YES = /^(?:yes|y|ok|pass|true|1|x)$/iu;
const NO = /^(?:no|n|fail|false|0)$/iu;

function rowOf(
  cells: readonly string[],
  order: readonly Heading[],
  about: Reading & { near: number; begin: number | undefined },
  commas: boolean,
): Pick<RowRead, 'cells' | 'errors' | 'problem'> {
  const taken: Record<string, string> = {};
  const errors: Record<string, string> = {};
  for (const [index, heading] of order.entries()) {
    const cell = cells[index] ?? '';
    const { column, unit } = heading;
    if (cell === '' || !column) continue;
    if (column.kind === 'measure') {
      const number = commas ? cell.replace(/^([+-]?\d+),(\d+)/u, '$1.$2') : cell;
      taken[column.name] = unit !== '' && !/[a-z"'°%:]/iu.test(number) ? `${number} ${unit}` : number;
    } else if (column.kind === 'instant') {
      const read = readMoment(cell, {
        zone: about.zone,
        near: about.near,
        ...(column.seconds ? { seconds: true } : {}),
        ...(about.begin === undefined ? {} : { first: about.begin }),
      });
      if ('at' in read) taken[column.name] = read.at;
      else {
        taken[column.name] = cell;
        errors[column.name] = `${column.label}: ${read.problem}`;
      }
    } else if (column.kind === 'choice') taken[column.name] = optionOf(column.options, cell);
    else if (column.kind === 'check')
      taken[column.name] = YES.test(cell) ? 'true' : NO.test(cell) ? '' : cell;
    else taken[column.name] = cell;
  }
  const more = cells.slice(order.length).some((cell) => cell !== '');
  const problem = more
    ? `It has ${cells.length} cells, the table ${order.length} columns. Write 10100 without a comma, or the cells with tabs between them.`
    : null;
  return { cells: taken, errors, problem };
}

/** The answer that a word of a file stands for; the word itself where it stands for none. */
function optionOf(options: readonly { value: string; label: string }[], cell: string): string {
  const low = cell.toLowerCase();
  const found = options.find(
    ({ value, label }) => value.toLowerCase() === low || label.toLowerCase() === low,
  );
  if (found) return found.value;
  const meant = YES.test(cell) ? 'yes' : NO.test(cell) ? 'no' : undefined;
  return options.some(({ value }) => value === meant) && meant ? meant : cell;
}

/** What is wrong with a row's cells by the rules of the row itself, required ones that are not there among it. */
function problemsOf(
  cells: Readonly<Record<string, string>>,
  { Row }: RowsSpec,
  system: System,
): Record<string, string> {
  const typed = columnsOfRows({ Row }).map(({ name, kind }) => {
    const cell = cells[name];
    return [name, kind === 'check' && cell === 'true' ? true : cell] as const;
  });
  const checked = validated(Row, { ...Object.fromEntries(typed), system }, { group: COMPLETE });
  return checked.ok ? {} : { ...checked.errors };
}
