/** A place in a tank or room: row by letter, column by number, `B3`. @param row 0 for A @param column 0 for 1 */
export function positionName(row: number, column: number): string {
  return `${String.fromCharCode(65 + row)}${column + 1}`;
}

/**
 * A position as it was typed, in the form it is kept.
 * @returns `B3`, or null when the storage has no such place
 */
export function positionIn(
  text: string,
  storage: { readonly rows: number; readonly columns: number },
): string | null {
  const [, letter = '', digits = ''] = /^\s*([A-Za-z])\s*-?\s*(\d{1,2})\s*$/.exec(text) ?? [];
  const row = letter.toUpperCase().charCodeAt(0) - 65;
  const column = Number(digits) - 1;
  if (letter === '' || row >= storage.rows || column < 0 || column >= storage.columns) return null;
  return positionName(row, column);
}
