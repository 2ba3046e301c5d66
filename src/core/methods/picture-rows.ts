const BETWEEN_ROWS = '|';
const BETWEEN_CELLS = '/';

/** Rows as a picture carries them in one text; what parts them is taken out of what a person typed. */
export function packedRows(rows: readonly (readonly (string | number)[])[]): string {
  return rows
    .map((cells) => cells.map((cell) => String(cell).replaceAll(/[/|]/gu, ' ')).join(BETWEEN_CELLS))
    .join(BETWEEN_ROWS);
}

/** The rows that a picture carries; none for no text. */
export function readRows(packed: unknown): string[][] {
  return String(packed ?? '')
    .split(BETWEEN_ROWS)
    .filter(Boolean)
    .map((row) => row.split(BETWEEN_CELLS));
}
