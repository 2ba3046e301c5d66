import { type Finding, finding } from '../working';
import { fieldsOf, type RunInput } from './fields';
import { columnsOfRows, isRows } from './rows-field';

type InputClass = new () => RunInput;

const tables = new WeakMap<
  InputClass,
  readonly { name: string; label: string; needed: Map<string, string> }[]
>();

function tablesOf(Input: InputClass) {
  const before = tables.get(Input);
  if (before) return before;
  const made = fieldsOf(Input)
    .filter(isRows)
    .map((field) => ({
      name: field.name,
      label: field.label,
      needed: new Map(
        columnsOfRows(field).flatMap((column) => (column.required ? [[column.name, column.label]] : [])),
      ),
    }));
  tables.set(Input, made);
  return made;
}

/** Rows that lack something: they are in no sum until it is there, and that is said. */
export function unfinishedRows(Input: InputClass, input: object): Finding[] {
  return tablesOf(Input).flatMap(({ name, label, needed }) => {
    const rows = (input as Record<string, unknown>)[name];
    if (!Array.isArray(rows)) return [];
    const open = rows.flatMap((row: Record<string, unknown>, index) => {
      const lacks = [...needed].filter(([column]) => row[column] === undefined).map(([, words]) => words);
      return lacks.length > 0 ? [`row ${index + 1} lacks ${lacks.join(', ').toLowerCase()}`] : [];
    });
    if (open.length === 0) return [];
    return [
      finding({
        id: 'rows.unfinished',
        severity: 'advice',
        fields: [name],
        message: `${label}: ${open.slice(0, 3).join('; ')}${open.length > 3 ? ` and ${open.length - 3} more` : ''}.`,
        action: 'Fill it in, or take the row back. What is not whole is not counted.',
      }),
    ];
  });
}
