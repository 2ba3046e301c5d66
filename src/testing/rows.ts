/**
 * Rows of a table out of short text, for tests: cells set apart by commas, rows by line ends.
 * @param columns the names of the columns, in the order of the cells; an empty cell was not taken
 */
export function rowsOf(columns: string, text: string): Record<string, string>[] {
  const names = columns.split(' ');
  return text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const cells = line.split(',').map((cell) => cell.trim());
      return Object.fromEntries(
        names.flatMap((name, index) => (cells[index] ? [[name, cells[index]] as [string, string]] : [])),
      );
    });
}
