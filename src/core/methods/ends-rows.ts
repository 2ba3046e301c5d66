import Papa from 'papaparse';
import { type Exact, parseMeasure, type UnitId } from '../quantity';

/** Rows of a specimen's label and what was found on it. */
export interface EndRow {
  readonly label: string;
  readonly cells: readonly string[];
}

/** Rows of a table typed or pasted: label first; a header without digits is passed over. */
export function endRows(text: string | undefined): EndRow[] {
  const trimmed = (text ?? '').trim();
  if (trimmed === '') return [];
  const delimiter = /;/u.test(trimmed) ? ';' : /\t/u.test(trimmed) ? '\t' : ',';
  const { data } = Papa.parse<string[]>(trimmed, { delimiter, skipEmptyLines: true });
  return data.flatMap((cells, index) => {
    const [label = '', ...rest] = cells.map((cell) => cell.trim());
    const values = rest.filter((cell) => cell !== '');
    if (index === 0 && /^(label|specimen)\b/iu.test(label)) return [];
    return label === '' ? [] : [{ label, cells: values }];
  });
}

/** The lengths among some cells, in a unit; what is none is given back as it stands. */
export function lengthsOf(
  cells: readonly string[],
  unit: UnitId,
): { readonly values: readonly Exact[]; readonly bad: readonly string[] } {
  const values: Exact[] = [];
  const bad: string[] = [];
  for (const cell of cells) {
    const parsed = parseMeasure(cell, 'length', unit);
    if (parsed.ok && parsed.measure.unit === unit) values.push(parsed.measure.value);
    else bad.push(cell);
  }
  return { values, bad };
}

/** True for words that say a thing is in order, false for those that say it is not; undefined for others. */
export function yesNo(word: string | undefined): boolean | undefined {
  if (/^(yes|y|ok|pass|true|1)$/iu.test(word ?? '')) return true;
  if (/^(no|n|fail|false|0)$/iu.test(word ?? '')) return false;
  return undefined;
}
