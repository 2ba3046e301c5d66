/** A record in the order of time: seconds, and what was read, in the unit of whoever kept it. */
export interface Trace {
  readonly seconds: readonly number[];
  readonly values: readonly number[];
}

/**
 * A record as it is pasted: two numbers a line, seconds and what was read.
 * @returns undefined where a line is none, or time runs back
 */
export function readTrace(text: string): Trace | undefined {
  const rows = text
    .split(/\r?\n/u)
    .filter((line) => line.trim() !== '' && !/^[a-z_"]/iu.test(line.trim()))
    .map((line) =>
      line
        .trim()
        .split(/[\s,;]+/u)
        .map(Number),
    );
  const good = rows.every(
    (row, place) =>
      row.length === 2 &&
      row.every(Number.isFinite) &&
      (place === 0 || (row[0] ?? 0) > (rows[place - 1]?.[0] ?? 0)),
  );
  if (!good || rows.length < 2) return undefined;
  return { seconds: rows.map(([at = 0]) => at), values: rows.map(([, value = 0]) => value) };
}
