import type { FieldSpec } from '../methods/fields';
import { readTable } from './table';

/** A column of a list that a laboratory brings along. */
export interface ListColumn {
  /** As it stands in the header. */
  readonly name: string;
  readonly needed?: boolean;
  /** What stands in it, where its name does not say it. */
  readonly holds?: string;
}

/** A kind of list: what it is called, and its columns. */
export interface ListKind {
  readonly title: string;
  readonly columns: readonly ListColumn[];
}

const VERIFICATION: readonly ListColumn[] = [
  { name: 'verified_from', holds: 'of a machine, with the unit' },
  { name: 'verified_to' },
  { name: 'certificate' },
  { name: 'serials', holds: 'of a pack' },
];

/** The lists of which a laboratory moves in; those of what is asked have the columns of their material besides. */
export const LISTS = {
  people: {
    title: 'People from a list',
    columns: [
      { name: 'name', needed: true },
      { name: 'email', needed: true },
      { name: 'role', needed: true, holds: 'field, laboratory, reviewer, manager or client' },
      { name: 'title', holds: 'as it stands under a signature' },
      { name: 'jobs', holds: 'numbers of the jobs that a client reads, with blanks between' },
    ],
  },
  instruments: {
    title: 'Instruments from a list',
    columns: [
      { name: 'number', needed: true },
      { name: 'kind', needed: true },
      { name: 'name', needed: true },
      { name: 'place' },
      { name: 'verified_on', holds: 'as 2031-05-14' },
      ...VERIFICATION,
    ],
  },
  verifications: {
    title: 'Verifications from a list',
    columns: [
      { name: 'number', needed: true, holds: 'of the instrument' },
      { name: 'verified_on', needed: true, holds: 'as 2031-05-14' },
      ...VERIFICATION,
    ],
  },
  jobs: {
    title: 'Jobs from a list',
    columns: [
      { name: 'number', needed: true },
      { name: 'name', needed: true },
      { name: 'owner', needed: true },
      { name: 'place', needed: true },
      { name: 'units', needed: true, holds: 'US or SI' },
      { name: 'time_zone', holds: 'Area/City; the laboratory’s own where it is not said' },
      { name: 'school', holds: 'astm, agency, en or is; astm where it is not said' },
    ],
  },
  specifications: {
    title: 'What is asked, from a list',
    columns: [
      { name: 'code', needed: true },
      { name: 'title', needed: true, holds: 'what it is for' },
    ],
  },
} as const satisfies Readonly<Record<string, ListKind>>;
export type ListName = keyof typeof LISTS;

/** The name of a column for a field of a class: `specifiedStrength` is `specified_strength`. */
export const columnName = (field: string): string =>
  field.replace(/[A-Z]/gu, (letter) => `_${letter.toLowerCase()}`);

/** The columns that the fields of a class make. */
export function columnsOf(fields: readonly FieldSpec[]): ListColumn[] {
  return fields.map((field) => ({
    name: columnName(field.name),
    ...('required' in field && field.required ? { needed: true } : {}),
  }));
}

/** A row of a list as it stands there; cells by the names of their columns. */
export interface ListRow {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
}

/** Reads a list by its columns. @returns its rows, or what is wrong with it as a whole: a column that it does not have, none of ours */
export function readList(
  text: string,
  columns: readonly ListColumn[],
): { readonly rows: readonly ListRow[]; readonly problem: string | null } {
  const table = readTable(
    text,
    columns.flatMap(({ name, needed }) => (needed ? [name] : [])),
  );
  if (table.problem) return { rows: [], problem: table.problem };
  const known = columns.map(({ name }) => name);
  const strange = table.columns.filter((name) => name !== '' && !known.includes(name));
  if (strange.length > 0)
    return {
      rows: [],
      problem: `Nothing here is called ${strange.join(', ')}. The columns are: ${known.join(', ')}.`,
    };
  return table.rows.length === 0
    ? { rows: [], problem: 'The file has a header and no rows.' }
    : { rows: table.rows, problem: null };
}
