/** What stands between two cells of a row, in the order in which it is looked for. */
export const DELIMITERS = [';', '\t', ',', ' '] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** How the rows of a file are written, whatever is measured in them. */
export interface RowsMapping {
  readonly delimiter: Delimiter;
  /** True where numbers are written with a comma. */
  readonly decimalComma: boolean;
  /** Lines before the first reading. */
  readonly header: number;
  /** The column of the time. */
  readonly time: number;
}

/** The most lines that may stand before the first reading, and the last column that is looked at. */
export const MOST_BEFORE = 200;

/** Rows of a file that are looked at to guess how it is written. */
export const LOOKED_AT = 20;

/** The first lines of a text that are not empty. */
export function linesOf(text: string, most: number): string[] {
  const found: string[] = [];
  let at = text.charCodeAt(0) === 0xfeff ? 1 : 0;
  while (found.length < most && at < text.length) {
    const end = text.indexOf('\n', at);
    const line = text.slice(at, end === -1 ? text.length : end).replace(/\r$/u, '');
    if (line.trim() !== '') found.push(line);
    at = end === -1 ? text.length : end + 1;
  }
  return found;
}

/** The cells of a line. */
export function cellsOf(line: string, delimiter: Delimiter): string[] {
  return (delimiter === ' ' ? line.trim().split(/\s+/u) : line.split(delimiter)).map((cell) => cell.trim());
}

/** The first rows of a file as they stand, for the person to look at. */
export function firstRows(text: string, delimiter: Delimiter): string[][] {
  return linesOf(text, LOOKED_AT).map((line) => cellsOf(line, delimiter));
}

/** One cell of a line that stands between two places of the text; a line is never taken apart for its other cells. */
export function cellAt(text: string, from: number, to: number, column: number, delimiter: Delimiter): string {
  if (delimiter === ' ') return text.slice(from, to).trim().split(/\s+/u)[column] ?? '';
  let start = from;
  for (let passed = 0; passed < column; passed += 1) {
    const next = text.indexOf(delimiter, start);
    if (next === -1 || next >= to) return '';
    start = next + 1;
  }
  const next = text.indexOf(delimiter, start);
  return text.slice(start, next === -1 || next > to ? to : next).trim();
}

/** The same numbers with room for more. */
export function grown(values: Float64Array, capacity: number): Float64Array<ArrayBuffer> {
  const larger = new Float64Array(capacity);
  larger.set(values);
  return larger;
}

/**
 * Walks over the lines of a text where they stand, in one pass; blank lines before the readings do not count as its heading.
 * @param header lines before the first reading
 * @param onProgress share of the text that has been read, 0 to 1, every now and then
 * @param take is given where each line begins and ends
 */
export function eachLine(
  text: string,
  header: number,
  onProgress: (share: number) => void,
  take: (from: number, to: number) => void,
): void {
  let at = text.charCodeAt(0) === 0xfeff ? 1 : 0;
  let row = 0;
  const every = Math.max(1, Math.floor(text.length / 50));
  let told = every;
  while (at < text.length) {
    let end = text.indexOf('\n', at);
    if (end === -1) end = text.length;
    const from = at;
    const to = text.charCodeAt(end - 1) === 13 ? end - 1 : end;
    at = end + 1;
    if (at > told) {
      onProgress(Math.min(1, at / text.length));
      told += every;
    }
    if (to <= from) continue;
    row += 1;
    if (row > header) take(from, to);
    else if (text.slice(from, to).trim() === '') row -= 1;
  }
  onProgress(1);
}
