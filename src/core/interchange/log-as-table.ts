import type { CellSpec, RowsSpec } from '../methods';

/** A name of a column as names are compared. */
export const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s-]+/gu, '_')
    .replace(/[()[\]]/gu, '');

/**
 * A log as rows of the table: of several channels those of its own, and of a balance that logs every mass on a line of its
 * own (`quantity`, `mass`, `unit`) the masses that the table has, one row for each specimen and round. Other text as it is.
 * @returns the lines, and in words what was left aside
 */
export function asTable(
  lines: readonly string[][],
  columns: readonly CellSpec[],
  { channel }: RowsSpec,
): { readonly lines: readonly string[][]; readonly aside: string[] } {
  const first = lines.findIndex((cells) => cells.some((cell) => cell !== ''));
  const head = (lines[first] ?? []).map(bare);
  const at = (...names: string[]): number => head.findIndex((name) => names.includes(name));
  const [quantity, mass, of] = [at('quantity'), at('mass'), at('specimen_id', 'specimen', 'label')];
  const place = at('channel');
  if (place >= 0 && channel !== undefined) {
    const own = lines.filter((cells, index) => index <= first || bare(cells[place] ?? '') === channel);
    const aside = lines.length - own.length;
    return {
      lines: own.map((cells) => cells.toSpliced(place, 1)),
      aside: aside > 0 ? [`${aside} lines of other channels`] : [],
    };
  }
  if (quantity < 0 || mass < 0 || of < 0) return { lines, aside: [] };
  const [unit, time] = [at('unit'), at('timestamp', 'time', 'at')];
  const masses = columns.filter((column) => column.kind === 'measure' && column.dimension === 'mass');
  const moment = columns.find(({ kind }) => kind === 'instant');
  const specimen = columns.find(({ kind }) => kind === 'specimen');
  const rows: Record<string, string>[] = [];
  let aside = 0;
  for (const cells of lines.slice(first + 1)) {
    if (cells.every((cell) => cell === '')) continue;
    const word = bare(cells[quantity] ?? '');
    const column = masses.find((each) =>
      [each.name, ...Object.keys(each.also ?? {})].map(bare).includes(word),
    );
    if (!column || !specimen) {
      aside += 1;
      continue;
    }
    const label = cells[of] ?? '';
    // A mass that this specimen has already begins another round of it.
    let row = rows.findLast((each) => each[specimen.name] === label);
    if (!row || row[column.name] !== undefined) {
      row = { [specimen.name]: label };
      rows.push(row);
    }
    row[column.name] = `${cells[mass] ?? ''} ${cells[unit] ?? ''}`.trim();
    if (moment) row[moment.name] = cells[time] ?? '';
  }
  const named = columns.filter(({ name }) => rows.some((row) => row[name] !== undefined));
  return {
    lines: [named.map(({ name }) => name), ...rows.map((row) => named.map(({ name }) => row[name] ?? ''))],
    aside: aside > 0 ? [`${aside} lines of other quantities`] : [],
  };
}
