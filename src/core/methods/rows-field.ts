import { plainToInstance, Transform } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsObject, ValidateNested } from 'class-validator';
import type { System } from '../quantity';
import {
  type CellSpec,
  common,
  type FieldSpec,
  fieldOf,
  fieldsOf,
  type RowInput,
  type RowsSpec,
  remember,
} from './fields';

/** The most rows of one table: more come from a recorder, and are a log. */
export const ROWS_LENGTH = 500;

type InputClass = abstract new () => object;

/** Rows of a table: a class of fields each. In `compute` a typed array; on the way each cell is a reading by itself. */
export function RowsField(spec: Omit<RowsSpec, 'kind'>): PropertyDecorator {
  return (target, key) => {
    const name = String(key);
    remember(target, { ...spec, kind: 'rows', name });
    common(target, name, spec);
    const { label } = spec;
    // The rows take the system of their run; what is no row is left as it is, for the rules to say.
    Transform(({ obj }) => {
      const given: unknown = obj[name];
      if (!Array.isArray(given)) return given === null || given === '' ? undefined : given;
      return given.length === 0
        ? undefined
        : given.map((row, index) => asRow(spec.Row, row, index, obj.system));
    })(target, name);
    IsArray({ always: true, message: `${label}: rows are expected, a list of them.` })(target, name);
    ArrayMaxSize(ROWS_LENGTH, { always: true, message: `${label}: at most ${ROWS_LENGTH} rows.` })(
      target,
      name,
    );
    IsObject({ each: true, always: true, message: `${label}: each row is an object of readings.` })(
      target,
      name,
    );
    ValidateNested({ each: true, always: true })(target, name);
  };
}

function asRow(Row: RowsSpec['Row'], row: unknown, index: number, system: unknown): unknown {
  if (typeof row !== 'object' || row === null || Array.isArray(row)) return row;
  return plainToInstance(Row, { ...row, id: rowName(row, index), system });
}

/** The name of a row: the device's, or its place where a file gives none. */
export function rowName(row: unknown, index: number): string {
  const id = typeof row === 'object' && row !== null && 'id' in row ? row.id : undefined;
  return typeof id === 'string' && ROW_NAME.test(id) ? id : `r${index + 1}`;
}

const ROW_NAME = /^[a-z0-9]{1,16}$/u;

/** Where a reading stands: a field by itself, or a cell of a row. */
export interface ReadingPlace {
  readonly field: string;
  readonly row: string;
  readonly column: string;
}

/** The parts of `weighings/k3f9/mass`; undefined for the name of a field by itself. */
export function placeOf(path: string): ReadingPlace | undefined {
  const [field = '', row = '', column = '', ...more] = path.split('/');
  return column !== '' && more.length === 0 && ROW_NAME.test(row) ? { field, row, column } : undefined;
}

/** The path of a cell's readings. */
export function pathOf(field: string, row: string, column: string): string {
  return `${field}/${row}/${column}`;
}

/** What stands at a path: a field, or a column of its rows; undefined where the input has none. */
export function fieldAt(input: InputClass, path: string): CellSpec | undefined {
  const place = placeOf(path);
  const field = fieldOf(input, place?.field ?? path);
  if (!field) return undefined;
  if (field.kind !== 'rows') return place ? undefined : field;
  return place ? cellOf(field, place.column) : undefined;
}

/** The columns of a table, in order. */
export function columnsOfRows({ Row }: Pick<RowsSpec, 'Row'>): readonly CellSpec[] {
  return fieldsOf(Row).flatMap((column) => (column.kind === 'rows' ? [] : [column]));
}

function cellOf(field: RowsSpec, name: string): CellSpec | undefined {
  const found = fieldOf(field.Row, name);
  return found?.kind === 'rows' ? undefined : found;
}

/** How a reading is called in messages: its label, in a table after the table's. */
export function labelAt(input: InputClass, path: string): string {
  const place = placeOf(path);
  const [field, cell] = [fieldOf(input, place?.field ?? path), fieldAt(input, path)];
  return place && field && cell ? `${field.label}: ${cell.label}` : (cell?.label ?? path);
}

/** A name for a new row: names of later rows sort after those of earlier ones, on whichever device they were made. */
export function newRowName(at: number, chance: number, count = 0): string {
  const part = (value: number): string => Math.floor(value).toString(36).padStart(2, '0').slice(-2);
  return `${Math.floor(at).toString(36).padStart(8, '0')}${part(count)}${part(chance * 1296)}`;
}

/**
 * What was typed, path by path, as plain input of a method: fields by name, rows as arrays in the order of their names.
 * @param entries path and text; a text that is blank or null was not taken
 */
export function typedInput(
  input: InputClass,
  system: System | string,
  entries: Iterable<readonly [string, string | null]>,
): Record<string, unknown> {
  const typed: Record<string, unknown> = { system };
  const tables = new Map<string, Map<string, Record<string, unknown>>>();
  for (const [path, text] of entries) {
    if (text === null || text.trim() === '') continue;
    const spec = fieldAt(input, path);
    const value = spec?.kind === 'check' ? text === 'true' : text;
    const place = placeOf(path);
    if (!place) typed[path] = value;
    else {
      const rows = tables.get(place.field) ?? new Map<string, Record<string, unknown>>();
      rows.set(place.row, { ...rows.get(place.row), id: place.row, [place.column]: value });
      tables.set(place.field, rows);
    }
  }
  for (const [field, rows] of tables)
    typed[field] = [...rows.values()].toSorted((a, b) => (String(a.id) < String(b.id) ? -1 : 1));
  return typed;
}

/** Plain input as the readings it consists of: the other way round from `typedInput`. */
export function readingsOf(plain: Readonly<Record<string, unknown>>): { field: string; text: string }[] {
  return Object.entries(plain).flatMap(([name, value]) => {
    if (name === 'system' || value === undefined || value === null || value === '') return [];
    if (!Array.isArray(value)) return [{ field: name, text: String(value) }];
    return value.flatMap((row: Record<string, unknown>, index) =>
      Object.entries(row)
        .filter(([column, cell]) => column !== 'id' && cell !== undefined && cell !== null && cell !== '')
        .map(([column, cell]) => ({
          field: pathOf(name, rowName(row, index).padStart(5, '0'), column),
          text: String(cell),
        })),
    );
  });
}

/** Rows in which everything that a row must hold is there. */
export function wholeRows<R extends RowInput>(rows: readonly R[] | undefined): R[] {
  return (rows ?? []).filter((row) =>
    fieldsOf(row.constructor as new () => R).every(
      ({ name, required }) => !required || (row as unknown as Record<string, unknown>)[name] !== undefined,
    ),
  );
}

/** Example rows as plain input. */
export function exampleRows(spec: RowsSpec, system: System): Record<string, unknown>[] {
  const columns = columnsOfRows(spec);
  return spec.example[system].map((cells) =>
    Object.fromEntries(
      columns.flatMap(({ name, kind }, index) => {
        const cell = cells[index] ?? '';
        return cell === '' ? [] : [[name, kind === 'check' ? cell === 'true' : cell]];
      }),
    ),
  );
}

/** Rows in words: cells set apart by blanks, rows by semicolons. */
export function rowsText(
  spec: RowsSpec,
  rows: unknown,
  cellText: (column: CellSpec, value: unknown) => string,
): string {
  if (!Array.isArray(rows)) return '';
  const columns = columnsOfRows(spec);
  return rows
    .map((row: Record<string, unknown>) =>
      columns
        .filter(({ name }) => row[name] !== undefined)
        .map((column) => cellText(column, row[column.name]))
        .join(' '),
    )
    .join('; ');
}

/** True for a field that holds a table. */
export function isRows(field: FieldSpec): field is RowsSpec & { readonly name: string } {
  return field.kind === 'rows';
}
