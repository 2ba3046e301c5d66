import { convert, exact, findUnit, type UnitId } from '../quantity';
import {
  cellAt,
  cellsOf,
  DELIMITERS,
  eachLine,
  grown,
  LOOKED_AT,
  linesOf,
  type RowsMapping,
} from './text-rows';

/** Which columns of a file are time and load, and in what units. Asked once, remembered for a machine. */
export interface LogMapping extends RowsMapping {
  readonly timeUnit: 's' | 'ms' | 'clock';
  readonly load: number;
  readonly loadUnit: UnitId;
  /** Where the file has them: the indicator's own stress, and the travel of the platen. */
  readonly stress?: number;
  readonly stressUnit?: UnitId;
  readonly position?: number;
  readonly positionUnit?: UnitId;
  /** Which of several tests in the file, from zero; kept with the log, never with the machine. */
  readonly part?: number;
}

/** What else a file says at its largest load. */
export interface BesideLoad {
  /** Load of that row as it was written, and the stress beside it, both in the units of the mapping. */
  readonly load: number;
  readonly stress: number | null;
  /** Travel from the first row to that one, in the unit of the mapping. */
  readonly travel: number | null;
}

/** A load log as numbers: seconds from its first reading, and load in the unit that was asked for. */
export interface LoadLog {
  readonly seconds: Float64Array;
  readonly load: Float64Array;
  /** Travel, or deflection, mm, where the file has a column of it; NaN in a row that has none. */
  readonly position?: Float64Array;
  /** Rows that could not be read; the first few of them. */
  readonly unread: number;
  readonly examples: readonly string[];
  /** True when compression was written as negative and has been turned round. */
  readonly turned: boolean;
  readonly beside: BesideLoad;
}

const LOAD_UNITS: readonly UnitId[] = ['lbf', 'kip', 'kN', 'N', 'kgf'];

/**
 * Guesses how a file is written. Only a guess: the person confirms columns and units.
 * @returns null when no two columns of numbers are found in its first rows
 */
export function guessMapping(text: string, usual: UnitId = 'lbf'): LogMapping | null {
  const rows = linesOf(text, LOOKED_AT);
  for (const delimiter of DELIMITERS) {
    const cells = rows.map((row) => cellsOf(row, delimiter));
    const header = cells.findIndex((row) => row.filter((cell) => isReading(cell)).length >= 2);
    if (header === -1) continue;
    const names = (cells[header - 1] ?? []).map((name) => name.toLowerCase());
    const first = cells[header] ?? [];
    const numeric = first.flatMap((cell, column) => (isReading(cell) ? [column] : []));
    const named = (words: RegExp): number | undefined => {
      const column = names.findIndex((name) => words.test(name));
      return numeric.includes(column) ? column : undefined;
    };
    const time = named(/time|^t\b|t_s|sec|zeit|temps/u) ?? numeric[0];
    const load = named(/load|force|kraft|^f\b/u) ?? numeric.find((column) => column !== time);
    if (time === undefined || load === undefined || time === load) continue;
    return {
      delimiter,
      decimalComma:
        delimiter !== ',' &&
        cells.slice(header).some((row) => numeric.some((column) => row[column]?.includes(','))),
      header,
      time,
      timeUnit: /:/u.test(first[time] ?? '') ? 'clock' : /ms|milli/u.test(names[time] ?? '') ? 'ms' : 's',
      load,
      loadUnit: unitIn(names[load] ?? '') ?? usual,
      ...beside(
        'stress',
        named(/stress|spannung|contrainte/u),
        names,
        'stress',
        usual === 'kN' ? 'MPa' : 'psi',
      ),
      ...beside(
        'position',
        named(/pos|travel|stroke|weg|displac|deflec|extens|crosshead|cmod|opening|traverse/u),
        names,
        'length',
        usual === 'kN' ? 'mm' : 'in',
      ),
    };
  }
  return null;
}

/**
 * How a file of a machine is written: as its files were the last time, where this one still fits that.
 * @param remembered the machine's mapping, when a log of it has been kept
 * @param usual unit of the load when nothing says it
 * @returns the mapping, and whether it is the remembered one; null when no two columns of numbers are found
 */
export function mappingFor(
  text: string,
  remembered: LogMapping | undefined,
  usual: UnitId = 'lbf',
): { readonly mapping: LogMapping; readonly remembered: boolean } | null {
  const guess = guessMapping(text, usual);
  if (!guess) return null;
  if (!remembered || !fits(text, remembered, guess)) return { mapping: guess, remembered: false };
  // How many lines stand before the readings is the file's own: an operator's name may be there or not.
  return { mapping: { ...remembered, header: guess.header }, remembered: true };
}

/** Whether a file can be what a machine's files were: numbers in the same columns, and no other unit over them. */
function fits(text: string, remembered: LogMapping, guess: LogMapping): boolean {
  const { delimiter, time, load, loadUnit } = remembered;
  if (delimiter !== guess.delimiter) return false;
  if (guess.decimalComma && !remembered.decimalComma) return false;
  const rows = linesOf(text, LOOKED_AT).map((line) => cellsOf(line, delimiter));
  const first = rows[guess.header] ?? [];
  const named = unitIn((rows[guess.header - 1]?.[load] ?? '').toLowerCase());
  return isReading(first[time] ?? '') && isReading(first[load] ?? '') && (named ?? loadUnit) === loadUnit;
}

/** A column beside the load, with its unit by its name. */
function beside(
  key: 'stress' | 'position',
  column: number | undefined,
  names: readonly string[],
  dimension: 'stress' | 'length',
  usual: UnitId,
): Partial<LogMapping> {
  if (column === undefined) return {};
  const word = /[([_\s]([a-z]+)[)\]]?$/u.exec(names[column] ?? '')?.[1] ?? '';
  return { [key]: column, [`${key}Unit`]: findUnit(word, dimension) ?? usual };
}

function unitIn(name: string): UnitId | undefined {
  const word = /[([_\s]([a-z]+)[)\]]?$/u.exec(name)?.[1] ?? '';
  const unit = findUnit(word, 'force');
  return unit && LOAD_UNITS.includes(unit) ? unit : undefined;
}

const NUMBER = /^[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][+-]?\d+)?$/u;

function isReading(cell: string): boolean {
  return NUMBER.test(cell) || CLOCK.test(cell) || (cell.includes('T') && !Number.isNaN(Date.parse(cell)));
}

const CLOCK = /^(\d{1,2}):(\d\d):(\d\d(?:[.,]\d+)?)$/u;

/** Seconds of a time of day or an instant; NaN when it is neither. */
function clockSeconds(cell: string): number {
  const [, hours, minutes, seconds] = CLOCK.exec(cell) ?? [];
  if (hours) return Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds?.replace(',', '.'));
  return Date.parse(cell) / 1000;
}

/**
 * Reads a load log into typed arrays, in one pass over its text.
 * @param unit that the load is wanted in
 * @param onProgress share of the text that has been read, 0 to 1, every now and then
 */
export function readLoadLog(
  text: string,
  mapping: LogMapping,
  unit: UnitId,
  onProgress: (share: number) => void = () => undefined,
): LoadLog {
  const { delimiter, decimalComma, header, time, timeUnit, load } = mapping;
  let capacity = Math.max(1024, Math.ceil(text.length / 8));
  let seconds = new Float64Array(capacity);
  let loads = new Float64Array(capacity);
  const beyond = mapping.position;
  const mm = convert(exact(1), mapping.positionUnit ?? 'mm', 'mm').toNumber();
  let places = new Float64Array(beyond === undefined ? 0 : capacity);
  const factor = convert(exact(1), mapping.loadUnit, unit).toNumber();
  const scale = timeUnit === 'ms' ? 0.001 : 1;
  const number = (cell: string): number => {
    const plain = decimalComma ? cell.replace(',', '.') : cell;
    return plain === '' ? Number.NaN : Number(plain);
  };
  const examples: string[] = [];
  let [count, unread, day, last] = [0, 0, 0, -1];
  let [least, most] = [0, 0];
  let [firstRow, peakFrom, peakTo, furthest] = ['', 0, 0, 0];
  eachLine(text, header, onProgress, (from, to) => {
    const timeCell = cellAt(text, from, to, time, delimiter);
    let second = timeUnit === 'clock' ? clockSeconds(timeCell) : number(timeCell) * scale;
    const value = number(cellAt(text, from, to, load, delimiter)) * factor;
    if (Number.isNaN(second) || Number.isNaN(value)) {
      const line = text.slice(from, to);
      if (line.trim() === '') return;
      unread += 1;
      if (examples.length < 3) examples.push(line);
      return;
    }
    if (timeUnit === 'clock' && CLOCK.test(timeCell)) {
      // Past midnight a clock begins anew; a small step back is a fault of the file and stays one.
      if (second + day < last - 43_200) day += 86_400;
      second += day;
    }
    last = second;
    if (count === capacity) {
      capacity *= 2;
      seconds = grown(seconds, capacity);
      loads = grown(loads, capacity);
      if (beyond !== undefined) places = grown(places, capacity);
    }
    seconds[count] = second;
    loads[count] = value;
    if (beyond !== undefined) places[count] = number(cellAt(text, from, to, beyond, delimiter)) * mm;
    if (count === 0) firstRow = text.slice(from, to);
    if (Math.abs(value) > furthest) {
      furthest = Math.abs(value);
      [peakFrom, peakTo] = [from, to];
    }
    if (value < least) least = value;
    if (value > most) most = value;
    count += 1;
  });
  const start = seconds[0] ?? 0;
  const turned = -least > most;
  const own = { seconds: seconds.slice(0, count), load: loads.slice(0, count) };
  for (let index = 0; index < count; index += 1) {
    own.seconds[index] = (own.seconds[index] ?? 0) - start;
    if (turned) own.load[index] = -(own.load[index] ?? 0);
  }
  const beside = (line: string, column: number | undefined): number | null => {
    if (column === undefined) return null;
    const value = number(cellsOf(line, delimiter)[column] ?? '');
    return Number.isNaN(value) ? null : Math.abs(value);
  };
  const peakRow = text.slice(peakFrom, peakTo);
  const [began, ended] = [firstRow, peakRow].map((line) => beside(line, mapping.position));
  return {
    ...own,
    ...(beyond === undefined ? {} : { position: places.slice(0, count) }),
    unread,
    examples,
    turned,
    beside: {
      load: furthest / factor,
      stress: beside(peakRow, mapping.stress),
      travel: typeof began === 'number' && typeof ended === 'number' ? Math.abs(ended - began) : null,
    },
  };
}
