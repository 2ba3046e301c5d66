import { csvText } from '../interchange/csv';
import { guessRows, readStampedRows, type StampedRows } from '../signals';
import { HEAT_VERSION } from './features';
import { type HeatChannel, type HeatMapping, type HeatRecord, POWER_UNITS, type PowerUnit } from './record';

const NUMBER = /^[-+−]?\d*(?:[.,]\d+)?\d*(?:e[+-]?\d+)?$/iu;
const NOT_POWER = /^#$|^no\.?$|record|index|temp|°|bath|batt|note|remark|flag|event|heat(?!\s*flow)/u;

/** Rows that stand as they are; of longer records means of minutes, and of ten minutes once nothing is quick any more. */
const CARRIED = 4000;
const QUICK_H = 48;
const QUICK_WIDTH = 1 / 60;
const SLOW_WIDTH = 1 / 6;
/** Rows in turn at the very end of a channel that are no peak but a limit. */
const FLAT = 5;

const UNIT_WORDS: readonly (readonly [RegExp, PowerUnit])[] = [
  [/mw\s*\/\s*g/u, 'mW/g'],
  [/w\s*\/\s*kg/u, 'W/kg'],
  [/j\s*\/\s*\(?\s*g\s*[·*/ ]\s*h/u, 'J/g/h'],
  [/[µμu]w|microwatt/u, 'uW'],
  [/mw|milliwatt/u, 'mW'],
  [/[µμu]v|microvolt/u, 'uV'],
  [/mv|millivolt/u, 'mV'],
  [/(?:^|[^a-z])w(?:$|[^a-z])|watt/u, 'W'],
  [/(?:^|[^a-z])v(?:$|[^a-z])|volt/u, 'V'],
];
const unitIn = (heading: string): PowerUnit | undefined =>
  UNIT_WORDS.find(([word]) => word.test(heading.toLowerCase()))?.[1];

/** What a cell of a calorimeter is called, by the heading of its column: without its unit. */
export function channelName(heading: string | undefined): string {
  return (heading ?? '')
    .replace(/[\s_,]*[([]?\s*(?:[mµμu]?[WV](?:\s*\/\s*k?g)?|J\s*\/\s*\(?g.*)\s*[)\]]?$/u, '')
    .trim();
}

/** What a file of a calorimeter says of itself; what it leaves open is asked. */
export interface GuessedHeat {
  readonly mapping: HeatMapping;
  readonly asks: readonly ('order' | 'unit')[];
}

/**
 * Guesses how a record of a calorimeter is written. Only a guess: the person confirms columns, order of dates and unit.
 * @returns null when no column of times with one of numbers beside it is found in its first rows
 */
export function guessHeat(text: string): GuessedHeat | null {
  const found = guessRows(text, (cell) => NUMBER.test(cell) && /\d/u.test(cell), NOT_POWER);
  if (!found) return null;
  const { mapping, names, above, twoWays } = found;
  const said =
    mapping.columns.map((column) => unitIn(names[column] ?? '')).find(Boolean) ??
    above.map(unitIn).find(Boolean);
  return {
    mapping: {
      ...mapping,
      unit: said ?? 'mW',
      names: mapping.columns.map(
        (column, place) => channelName(names[column]) || `${names[column] ? '' : 'Cell '}${place + 1}`,
      ),
    },
    asks: [...(twoWays ? (['order'] as const) : []), ...(said ? [] : (['unit'] as const))],
  };
}

const numberOf =
  (decimalComma: boolean) =>
  (cell: string): number => {
    const plain = (decimalComma ? cell.replace(',', '.') : cell).replace('−', '-');
    return plain === '' ? Number.NaN : Number(plain);
  };

/** The rows of a file of a calorimeter, in the order of time, in the unit of the file. @param zone of clocks without one */
function heatRows(
  text: string,
  mapping: HeatMapping,
  zone: string,
  onProgress?: (share: number) => void,
): StampedRows {
  return readStampedRows(text, mapping, numberOf(mapping.decimalComma), zone, onProgress);
}

/** All rows of a record of a calorimeter as CSV: instant or hours, and each cell in mW, mW/g or mV. */
export function heatCsv(text: string, mapping: HeatMapping, zone: string): string {
  const { seconds, values, start } = heatRows(text, mapping, zone);
  const { carried, factor } = POWER_UNITS[mapping.unit];
  return csvText(
    [start === null ? 'hours' : 'instant', ...mapping.names.map((name) => `${name}, ${carried}`)],
    Array.from(seconds, (second, row) => [
      start === null ? (second / 3600).toFixed(5) : new Date((start + second) * 1000).toISOString(),
      ...values.map((each) => {
        const value = each[row] as number;
        return Number.isFinite(value) ? String(six(factor * value)) : '';
      }),
    ]),
  );
}

const six = (value: number): number => Number(value.toPrecision(6));

/**
 * Reads a record of a calorimeter: all rows are read, and what a test carries with it is at most a mean of a minute for two
 * days and of ten minutes behind them.
 * @param zone that clocks without a zone are set to
 * @param onProgress share of the text that has been read, 0 to 1, every now and then
 */
export function readHeat(
  text: string,
  mapping: HeatMapping,
  zone: string,
  onProgress?: (share: number) => void,
): { readonly record: HeatRecord; readonly unread: number; readonly examples: readonly string[] } {
  const raw = heatRows(text, mapping, zone, onProgress);
  return {
    record: heatRecord(raw, mapping.names, mapping.unit),
    unread: raw.unread,
    examples: raw.examples,
  };
}

/** A record of rows that came over a line: mW of each cell, seconds since it began. */
export function recordOfRows(
  rows: readonly {
    readonly t: number;
    readonly clock: string;
    readonly names: readonly string[];
    readonly power?: readonly (number | null)[];
  }[],
): HeatRecord {
  const [first] = rows;
  const names = first?.names ?? [];
  const began = first?.t ?? 0;
  return heatRecord(
    {
      seconds: Float64Array.from(rows, ({ t }) => t - began),
      values: names.map((_, place) => Float64Array.from(rows, ({ power }) => power?.[place] ?? Number.NaN)),
      start: first ? Date.parse(first.clock) / 1000 : null,
      troubles: [],
    },
    names,
    'mW',
  );
}

/** What rows come to as a test carries them. */
function heatRecord(
  raw: Pick<StampedRows, 'seconds' | 'values' | 'start' | 'troubles'>,
  names: readonly string[],
  unit: PowerUnit,
): HeatRecord {
  const { carried, factor } = POWER_UNITS[unit];
  const { seconds, values, start } = raw;
  const rows = seconds.length;
  const averaged = rows > CARRIED;
  // Where each stretch begins, and behind the last one the end.
  const begins: number[] = [];
  let bin = Number.NaN;
  for (let row = 0; row < rows; row += 1) {
    const hours = (seconds[row] as number) / 3600;
    const width = hours < QUICK_H ? QUICK_WIDTH : SLOW_WIDTH;
    // Just under the edge counts with it: a minute of a file in hours ends at 0.016667.
    const mine = averaged ? Math.floor(hours / width + 1e-4) * width : row;
    if (mine === bin) continue;
    bin = mine;
    begins.push(row);
  }
  const mean = (of: Float64Array, from: number, to: number): number => {
    let [sum, count] = [0, 0];
    for (let row = from; row < to; row += 1) {
      const value = of[row] as number;
      if (!Number.isFinite(value)) continue;
      sum += value;
      count += 1;
    }
    return count === 0 ? Number.NaN : sum / count;
  };
  const stretches = (of: Float64Array): number[] =>
    begins.map((from, place) => mean(of, from, begins[place + 1] ?? rows));
  const channels = values.map((each, place): HeatChannel => {
    return {
      name: names[place] ?? `Cell ${place + 1}`,
      values: stretches(each).map((value) => (Number.isNaN(value) ? null : six(factor * value))),
      rows: each.reduce((count, value) => count + (Number.isFinite(value) ? 1 : 0), 0),
      noise: six(factor * noiseOf(each)),
      clipped: flatTops(seconds, each),
    };
  });
  return {
    kind: 'heat',
    version: HEAT_VERSION,
    rows,
    start: start === null ? null : new Date(start * 1000).toISOString(),
    length: six((seconds[rows - 1] ?? 0) / 3600),
    averaged,
    unit: carried,
    troubles: raw.troubles,
    hours: stretches(seconds).map((second) => Number((second / 3600).toFixed(6))),
    channels: channels.filter((channel) => channel.rows > 0),
  };
}

const SAMPLED = 2000;

/** Noise from row to row, by the middle of the second differences; what goes up and down slowly is none. */
function noiseOf(values: Float64Array): number {
  const step = Math.max(1, Math.floor(values.length / SAMPLED));
  const found: number[] = [];
  for (let at = 1; at < values.length - 1; at += step) {
    const bend = (values[at - 1] as number) - 2 * (values[at] as number) + (values[at + 1] as number);
    if (Number.isFinite(bend)) found.push(Math.abs(bend));
  }
  found.sort((a, b) => a - b);
  // Of normal noise the middle of |x₁ − 2x₂ + x₃| is 0.6745·√6 of its deviation.
  return (found[Math.floor(found.length / 2)] ?? 0) / (0.6745 * Math.sqrt(6));
}

/** Where a channel stands at its greatest value for rows on end: it was at the end of its range. */
function flatTops(seconds: Float64Array, values: Float64Array): [number, number][] {
  let top = Number.NEGATIVE_INFINITY;
  for (const value of values) if (value > top) top = value;
  const found: [number, number][] = [];
  let from = -1;
  for (let at = 0; at <= values.length; at += 1) {
    if (at < values.length && values[at] === top) {
      if (from === -1) from = at;
      continue;
    }
    if (from !== -1 && at - from >= FLAT)
      found.push([six((seconds[from] as number) / 3600), six((seconds[at - 1] as number) / 3600)]);
    from = -1;
  }
  // A channel without a number of its own stands still everywhere.
  return top > 0 ? found : [];
}
