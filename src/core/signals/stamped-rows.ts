import { cellEnds, numberAt, PlainStamps } from './fast';
import { type DateOrder, dateOrder, isClock, readStamp, type Stamp, stampOf, zoneSeconds } from './stamps';
import { cellsOf, DELIMITERS, eachLine, grown, LOOKED_AT, linesOf, type RowsMapping } from './text-rows';

/** Which columns of a record are time and values, and how each is written. */
export interface StampedMapping extends RowsMapping {
  /** The column of the clock, where date and clock stand apart. */
  readonly clock?: number;
  readonly stamp: Stamp;
  /** The columns of values, and what each is called. */
  readonly columns: readonly number[];
  readonly names: readonly string[];
}

export const RECORD_TROUBLES = [
  'no rows',
  'rows not read',
  'rows doubled',
  'goes back',
  'clock put back',
  'hour missing',
  'counter began anew',
] as const;
export type RecordTrouble = (typeof RECORD_TROUBLES)[number];

/** A record as numbers: seconds of its rows, and the values of each column; NaN where none is written. */
export interface StampedRows {
  readonly seconds: Float64Array;
  readonly values: readonly Float64Array[];
  /** Seconds since 1970 of the first row; null where the rows only count. */
  readonly start: number | null;
  readonly unread: number;
  readonly examples: readonly string[];
  readonly troubles: readonly RecordTrouble[];
}

/** Columns of values that a record has at the most. */
export const MOST_COLUMNS = 16;

/** What the first rows of a file say of how it is written. */
export interface GuessedRows {
  /** All of the mapping but what the columns are called, which hangs on what they are. */
  readonly mapping: Omit<StampedMapping, 'names'>;
  /** What stands above each column, and lines above these. */
  readonly names: readonly string[];
  readonly above: readonly string[];
  /** The first rows, as cells. */
  readonly rows: readonly (readonly string[])[];
  /** Its dates can be read two ways. */
  readonly twoWays: boolean;
}

/**
 * Guesses how a record is written: a column of times with values behind it.
 * @param isValue whether a cell can be a value @param isNone headings of columns that are none, in small letters
 */
export function guessRows(
  text: string,
  isValue: (cell: string) => boolean,
  isNone: RegExp,
): GuessedRows | null {
  const rows = linesOf(text, LOOKED_AT);
  for (const delimiter of DELIMITERS) {
    const cells = rows.map((row) => cellsOf(row, delimiter));
    for (const [header, first] of cells.entries()) {
      const names = (cells[header - 1] ?? []).map((name) => name.trim());
      const lower = names.map((name) => name.toLowerCase());
      const stampIn = (row: readonly string[]): number =>
        row.findIndex(
          (cell, column) =>
            stampOf(cell, lower[column] ?? '') !== undefined &&
            !/[#]|record|index|^no\.?$/u.test(lower[column] ?? ''),
        );
      const date = stampIn(first);
      if (date === -1) continue;
      // A heading whose columns are called 1, 2, 3 is no row: below it the time stands further to the left.
      const below = stampIn(cells[header + 1] ?? []);
      if (below !== -1 && below < date) continue;
      const clock = isClock(first[date + 1] ?? '') ? date + 1 : undefined;
      const columns = first
        .flatMap((cell, column) =>
          column > (clock ?? date) && isValue(cell) && !isNone.test(lower[column] ?? '') ? [column] : [],
        )
        .slice(0, MOST_COLUMNS);
      if (columns.length === 0) continue;
      const own = cells.slice(header);
      const times = own.map(
        (row) => `${row[date] ?? ''}${clock === undefined ? '' : ` ${row[clock] ?? ''}`}`,
      );
      const kind = stampOf(first[date] ?? '', lower[date] ?? '') ?? 's';
      const order: DateOrder | 'no matter' | undefined =
        kind === 'day first' ? dateOrder(times) : 'no matter';
      const decimalComma =
        delimiter !== ',' &&
        own.some((row) => [date, ...columns].some((column) => row[column]?.includes(',')));
      return {
        mapping: {
          delimiter,
          decimalComma,
          header,
          time: date,
          ...(clock === undefined ? {} : { clock }),
          stamp: kind === 'day first' ? (order === 'month first' ? 'month first' : 'day first') : kind,
          columns,
        },
        names,
        above: rows.slice(0, header),
        rows: own,
        twoWays: order === undefined,
      };
    }
  }
  return null;
}

/** The counter of milliseconds of a small logger begins anew after 49.71 days. */
const COUNTER = 2 ** 32;
const HOUR_S = 3600;

/** Seconds of one step of a time that only counts. */
const SECONDS: Partial<Record<Stamp, number>> = { ms: 0.001, s: 1, min: 60, h: HOUR_S, d: 24 * HOUR_S };
const COUNTED = /^(\d+):(\d\d):(\d\d(?:[.,]\d+)?)$/u;

/**
 * Reads a record into typed arrays, in one pass over its text.
 * @param numberOf what a cell stands for that is more than a plain number; NaN where it is none
 * @param zone that clocks without a zone are set to
 * @param onProgress share of the text that has been read, 0 to 1, every now and then
 * @returns rows in the order of time; a stamp that stands twice counts once, rows that go back are left out
 */
export function readStampedRows(
  text: string,
  mapping: StampedMapping,
  numberOf: (cell: string) => number,
  zone: string,
  onProgress: (share: number) => void = () => undefined,
): StampedRows {
  const { delimiter, decimalComma, header, time, clock, stamp, columns } = mapping;
  const order = stamp === 'month first' ? 'month first' : 'day first';
  const dated = stamp === 'instant' || stamp === 'day first' || stamp === 'month first';
  const scale = SECONDS[stamp] ?? 1;
  let capacity = Math.max(1024, Math.ceil(text.length / 12));
  let seconds = new Float64Array(capacity);
  let values = columns.map(() => new Float64Array(capacity));
  const troubles = new Set<RecordTrouble>();
  const examples: string[] = [];
  let [count, unread, last, step, shift, counted] = [0, 0, Number.NaN, 0, 0, 0];
  let wall = false;
  const furthest = Math.max(time, clock ?? 0, ...columns);
  const ends = new Int32Array(2 * (furthest + 1));
  const plain = new PlainStamps();
  const mark = decimalComma ? 44 : 46;
  const cell = (column: number): string => text.slice(ends[2 * column], ends[2 * column + 1]);
  const split = (from: number, to: number): void => {
    if (delimiter !== ' ') {
      cellEnds(text, from, to, delimiter.charCodeAt(0), ends, furthest);
      return;
    }
    // Several blanks stand for one.
    let start = from;
    for (let column = 0; column <= furthest; column += 1) {
      while (start < to && text.charCodeAt(start) <= 32) start += 1;
      let end = start;
      while (end < to && text.charCodeAt(end) > 32) end += 1;
      ends[2 * column] = start;
      ends[2 * column + 1] = end;
      start = end;
    }
  };
  const secondOf = (): number => {
    const [from, to] = [ends[2 * time] as number, ends[2 * time + 1] as number];
    if (stamp === 'h:mm:ss') {
      const [, h, m, s = ''] = COUNTED.exec(cell(time)) ?? [];
      return Number(h) * HOUR_S + Number(m) * 60 + Number(s.replace(',', '.'));
    }
    if (!dated) {
      const own = numberAt(text, from, to, mark);
      if (stamp === 'ms' && own < counted - COUNTER / 2) {
        shift += COUNTER / 1000;
        troubles.add('counter began anew');
      }
      if (!Number.isNaN(own)) counted = own;
      return own * scale;
    }
    if (stamp === 'instant' && clock === undefined) {
      const quick = plain.at(text, from, to);
      if (!Number.isNaN(quick)) {
        wall = true;
        return quick;
      }
    }
    const found = readStamp(clock === undefined ? cell(time) : `${cell(time)} ${cell(clock)}`, order);
    if (!found) return Number.NaN;
    wall = found.wall;
    return found.seconds;
  };
  eachLine(text, header, onProgress, (from, to) => {
    split(from, to);
    let second = secondOf() + shift;
    if (Number.isNaN(second)) {
      const line = text.slice(from, to);
      if (line.trim() === '') return;
      unread += 1;
      if (examples.length < 3) examples.push(line.slice(0, 120));
      return;
    }
    const since = second - last;
    if (since === 0) {
      troubles.add('rows doubled');
      return;
    }
    if (since < 0) {
      // Summer time ended while it recorded: the same hour stands twice, and nothing is lost.
      if (wall && step > 0 && Math.abs(since + HOUR_S - step) <= step / 2) {
        shift += HOUR_S;
        second += HOUR_S;
        troubles.add('clock put back');
      } else {
        troubles.add('goes back');
        return;
      }
    } else if (wall && step > 0 && step < HOUR_S && Math.abs(since - HOUR_S - step) <= step / 2) {
      // An hour is missing at night, as when summer time begins: it may have been left out, or never have been.
      if (new Date(second * 1000).getUTCHours() <= 4) troubles.add('hour missing');
    }
    step = Number.isNaN(last) ? 0 : second - last;
    last = second;
    if (count === capacity) {
      capacity *= 2;
      seconds = grown(seconds, capacity);
      values = values.map((each) => grown(each, capacity));
    }
    seconds[count] = second;
    for (let place = 0; place < columns.length; place += 1) {
      const column = columns[place] as number;
      const quick = numberAt(text, ends[2 * column] as number, ends[2 * column + 1] as number, mark);
      (values[place] as Float64Array)[count] = Number.isNaN(quick) ? numberOf(cell(column)) : quick;
    }
    count += 1;
  });
  if (count === 0) troubles.add('no rows');
  if (unread > 0) troubles.add('rows not read');
  const first = seconds[0] ?? 0;
  // A count from 1970 is a date as well.
  const epoch = dated || first > 6e8;
  return {
    seconds: seconds.slice(0, count).map((each) => each - first),
    values: values.map((each) => each.slice(0, count)),
    start: epoch && count > 0 ? first - (wall ? zoneSeconds(first, zone) : 0) : null,
    unread,
    examples,
    troubles: [...troubles],
  };
}
