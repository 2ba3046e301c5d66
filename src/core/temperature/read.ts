import { cellsOf, DELIMITERS, eachLine, grown, LOOKED_AT, linesOf } from '../signals/text-rows';
import { cellEnds, numberAt, PlainStamps } from './fast';
import { dateOrder, isClock, readStamp, stampOf, zoneSeconds } from './stamps';
import type { RecordMapping, RecordTrouble } from './types';

/** What a file says of itself in its first rows; what it leaves open has to be asked. */
export interface Guessed {
  readonly mapping: RecordMapping;
  /** Its dates can be read two ways, or nothing says whether it is written in °C or °F. */
  readonly asks: readonly ('order' | 'unit')[];
}

/** A record as numbers: seconds of its rows, and the temperatures of each sensor, °C; NaN where none is written. */
export interface RawRecord {
  readonly seconds: Float64Array;
  readonly celsius: readonly Float64Array[];
  /** Seconds since 1970 of the first row; null where the rows only count. */
  readonly start: number | null;
  readonly unread: number;
  readonly examples: readonly string[];
  readonly troubles: readonly RecordTrouble[];
}

/** A value of a sensor, with the sign of its scale where it has one. */
const VALUE = /^([-+−]?\d*(?:[.,]\d+)?\d*(?:e[+-]?\d+)?)\s*°?\s*([CF])?$/iu;
const NOT_A_SENSOR =
  /^#$|^no\.?$|record|^n$|index|volt|batt|humid|%|rh\b|signal|event|remark|note|min\b|max\b/u;
const MOST_SENSORS = 16;
/** Medians that only one of the two scales can have: fresh to hardening concrete and air. */
const SURELY_C = 45;
const SURELY_F = 50;

function temperature(cell: string, decimalComma: boolean, fahrenheit: boolean): number {
  if (cell === '') return Number.NaN;
  let value = Number(decimalComma ? cell.replace(',', '.') : cell);
  let inF = fahrenheit;
  if (Number.isNaN(value)) {
    const [, number = '', scale] = VALUE.exec(cell) ?? [];
    if (!/\d/u.test(number)) return Number.NaN;
    value = Number(number.replace('−', '-').replace(',', '.'));
    if (scale) inF = scale.toUpperCase() === 'F';
  }
  return inF ? (value - 32) / 1.8 : value;
}

const headed = (name: string): 'degC' | 'degF' | undefined =>
  /°\s*f|deg\s*f|_f\b|\(f\)|\[f\]|fahrenheit/iu.test(name)
    ? 'degF'
    : /°\s*c|deg\s*c|_c\b|\(c\)|\[c\]|celsius/iu.test(name)
      ? 'degC'
      : undefined;

/** What a sensor is called, by the heading of its column: without the sign of the scale. */
export function sensorName(heading: string | undefined): string {
  return (heading ?? '')
    .replace(/[\s_,]*[([]?\s*(?:°|deg\s*)[CF](?:elsius|ahrenheit)?\s*[)\]]?$/iu, '')
    .replace(/[\s_]*[([][CF][)\]]$/iu, '')
    .replace(/_[cf]$/iu, '')
    .trim();
}

/**
 * Guesses how a record of temperatures is written. Only a guess: the person confirms columns, order of dates and unit.
 * @returns null when no column of times with one of numbers beside it is found in its first rows
 */
export function guessRecord(text: string): Guessed | null {
  const rows = linesOf(text, LOOKED_AT);
  for (const delimiter of DELIMITERS) {
    const cells = rows.map((row) => cellsOf(row, delimiter));
    const isValue = (cell: string | undefined): boolean => VALUE.test(cell ?? '') && /\d/u.test(cell ?? '');
    for (const [header, first] of cells.entries()) {
      const names = (cells[header - 1] ?? []).map((name) => name.trim());
      const lower = names.map((name) => name.toLowerCase());
      const date = first.findIndex(
        (cell, column) =>
          stampOf(cell, lower[column] ?? '') !== undefined &&
          !/[#]|record|index|^no\.?$/u.test(lower[column] ?? ''),
      );
      if (date === -1) continue;
      const clock = isClock(first[date + 1] ?? '') ? date + 1 : undefined;
      const columns = first
        .flatMap((cell, column) =>
          column > (clock ?? date) && isValue(cell) && !NOT_A_SENSOR.test(lower[column] ?? '')
            ? [column]
            : [],
        )
        .slice(0, MOST_SENSORS);
      if (columns.length === 0) continue;
      const own = cells.slice(header);
      const times = own.map(
        (row) => `${row[date] ?? ''}${clock === undefined ? '' : ` ${row[clock] ?? ''}`}`,
      );
      const kind = stampOf(first[date] ?? '', lower[date] ?? '') ?? 's';
      const order = kind === 'day first' ? dateOrder(times) : 'no matter';
      const decimalComma =
        delimiter !== ',' && own.some((row) => columns.some((column) => row[column]?.includes(',')));
      const values = own
        .flatMap((row) => columns.map((column) => temperature(row[column] ?? '', decimalComma, false)))
        .filter((value) => Number.isFinite(value))
        .toSorted((a, b) => a - b);
      const middle = values[Math.floor(values.length / 2)] ?? 0;
      // The names of columns, or a line of its own above them, say the scale.
      const said =
        columns.map((column) => headed(names[column] ?? '')).find(Boolean) ??
        rows.slice(0, header).map(headed).find(Boolean);
      const byCell = own.some((row) => columns.some((column) => /[CF]$/iu.test(row[column] ?? '')));
      return {
        mapping: {
          delimiter,
          decimalComma,
          header,
          time: date,
          ...(clock === undefined ? {} : { clock }),
          stamp: kind === 'day first' ? (order === 'month first' ? 'month first' : 'day first') : kind,
          unit: said ?? (middle > SURELY_F ? 'degF' : 'degC'),
          columns,
          names: columns.map((column, place) => sensorName(names[column]) || `Sensor ${place + 1}`),
        },
        asks: [
          ...(order === undefined ? (['order'] as const) : []),
          ...(!said && !byCell && middle >= SURELY_C && middle <= SURELY_F ? (['unit'] as const) : []),
        ],
      };
    }
  }
  return null;
}

/** The counter of milliseconds of a small logger begins anew after 49.71 days. */
const COUNTER = 2 ** 32;
const HOUR_S = 3600;

/**
 * Reads a record into typed arrays, in one pass over its text.
 * @param zone that clocks without a zone are set to
 * @param onProgress share of the text that has been read, 0 to 1, every now and then
 * @returns rows in the order of time; a stamp that stands twice counts once, rows that go back are left out
 */
export function readRecord(
  text: string,
  mapping: RecordMapping,
  zone: string,
  onProgress: (share: number) => void = () => undefined,
): RawRecord {
  const { delimiter, decimalComma, header, time, clock, stamp, columns } = mapping;
  const fahrenheit = mapping.unit === 'degF';
  const order = stamp === 'month first' ? 'month first' : 'day first';
  const dated = stamp === 'instant' || stamp === 'day first' || stamp === 'month first';
  const scale = stamp === 'ms' ? 0.001 : stamp === 'min' ? 60 : stamp === 'h' ? HOUR_S : 1;
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
      (values[place] as Float64Array)[count] = Number.isNaN(quick)
        ? temperature(cell(column), decimalComma, fahrenheit)
        : fahrenheit
          ? (quick - 32) / 1.8
          : quick;
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
    celsius: values.map((each) => each.slice(0, count)),
    start: epoch && count > 0 ? first - (wall ? zoneSeconds(first, zone) : 0) : null,
    unread,
    examples,
    troubles: [...troubles],
  };
}
