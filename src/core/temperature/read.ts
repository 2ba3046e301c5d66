import { guessRows, type RecordTrouble, readStampedRows } from '../signals/stamped-rows';
import type { RecordMapping } from './types';

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
  const found = guessRows(text, (cell) => VALUE.test(cell) && /\d/u.test(cell), NOT_A_SENSOR);
  if (!found) return null;
  const { mapping, names, above, rows, twoWays } = found;
  const { columns } = mapping;
  const values = rows
    .flatMap((row) => columns.map((column) => temperature(row[column] ?? '', mapping.decimalComma, false)))
    .filter((value) => Number.isFinite(value))
    .toSorted((a, b) => a - b);
  const middle = values[Math.floor(values.length / 2)] ?? 0;
  // The names of columns, or a line of its own above them, say the scale.
  const said =
    columns.map((column) => headed(names[column] ?? '')).find(Boolean) ?? above.map(headed).find(Boolean);
  const byCell = rows.some((row) => columns.some((column) => /[CF]$/iu.test(row[column] ?? '')));
  return {
    mapping: {
      ...mapping,
      unit: said ?? (middle > SURELY_F ? 'degF' : 'degC'),
      names: columns.map((column, place) => sensorName(names[column]) || `Sensor ${place + 1}`),
    },
    asks: [
      ...(twoWays ? (['order'] as const) : []),
      ...(!said && !byCell && middle >= SURELY_C && middle <= SURELY_F ? (['unit'] as const) : []),
    ],
  };
}

/**
 * Reads a record into typed arrays, in one pass over its text.
 * @param zone that clocks without a zone are set to
 * @param onProgress share of the text that has been read, 0 to 1, every now and then
 * @returns rows in the order of time, °C; a stamp that stands twice counts once, rows that go back are left out
 */
export function readRecord(
  text: string,
  mapping: RecordMapping,
  zone: string,
  onProgress?: (share: number) => void,
): RawRecord {
  const fahrenheit = mapping.unit === 'degF';
  const toCelsius = (value: number): number => (value - 32) / 1.8;
  // A cell with the sign of its own scale is turned into that of the file, with which all are turned afterwards.
  const { values, ...rest } = readStampedRows(
    text,
    mapping,
    (cell) => {
      const celsius = temperature(cell, mapping.decimalComma, fahrenheit);
      return fahrenheit ? celsius * 1.8 + 32 : celsius;
    },
    zone,
    onProgress,
  );
  return { ...rest, celsius: fahrenheit ? values.map((each) => each.map(toCelsius)) : values };
}
