/** One test among several in a file: its first row and the one after its last, and its largest load. */
export interface LogPart {
  readonly from: number;
  readonly to: number;
  readonly peak: number;
  /** Seconds of the file at its peak. */
  readonly at: number;
}

/** A load below this share of the peak before it, for so many seconds, ends a test. */
const REST = 0.01;
const REST_S = 5;
/** A test reaches this share of the largest one: less is somebody leaning on the machine. */
const COUNTS = 0.1;

/**
 * The tests in a log, in one pass: a press that records all morning writes them into one file.
 * @param seconds increasing
 * @returns in the order of the file; one part holding everything where there is only one test
 * Source: our choice: apart where the load stays below 1 % of the peak before for 5 s.
 */
export function testsIn(seconds: Float64Array, load: Float64Array): LogPart[] {
  let largest = 0;
  for (const value of load) if (value > largest) largest = value;
  const parts: LogPart[] = [];
  let [from, peak, at, loadedAt] = [0, 0, 0, 0];
  for (let row = 0; row < load.length; row += 1) {
    const value = load[row] ?? 0;
    const now = seconds[row] ?? 0;
    if (value > peak) [peak, at] = [value, now];
    if (value >= REST * peak) loadedAt = now;
    if (peak < COUNTS * largest || now - loadedAt < REST_S) continue;
    parts.push({ from, to: row + 1, peak, at });
    [from, peak, loadedAt] = [row + 1, 0, now];
  }
  if (peak >= COUNTS * largest && from < load.length) parts.push({ from, to: load.length, peak, at });
  const last = parts.at(-1);
  // What comes after the last test belongs to it.
  if (last) parts[parts.length - 1] = { ...last, to: load.length };
  return parts.length > 0 ? parts : [{ from: 0, to: load.length, peak: largest, at: 0 }];
}

/** The columns of a log that belong together. */
interface Columns {
  readonly seconds: Float64Array;
  readonly load: Float64Array;
  readonly position?: Float64Array;
}

/**
 * The test that was chosen among those in a log; the log itself where it holds one only.
 * @returns undefined when there is no such part
 */
export function chosenPart(log: Columns, parts: readonly LogPart[], part = 0): Columns | undefined {
  const chosen = parts[part];
  return chosen && (parts.length > 1 ? partOf(log, chosen) : log);
}

/** One of the tests of a log, its time from its own beginning. */
export function partOf(log: Columns, part: Pick<LogPart, 'from' | 'to'>): Columns {
  const start = log.seconds[part.from] ?? 0;
  return {
    seconds: log.seconds.slice(part.from, part.to).map((second) => second - start),
    load: log.load.slice(part.from, part.to),
    ...(log.position ? { position: log.position.slice(part.from, part.to) } : {}),
  };
}
