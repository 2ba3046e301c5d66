import { readInstant } from '../quantity';
import { RECORD_TROUBLES } from '../signals';
import { CARRIED_UNITS } from './record';

const MOST_CHANNELS = 16;
const MOST_ROWS = 8000;
const MOST_HOURS = 200_000;
const MOST_VALUE = 1e7;

type Loose = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isNumber = (value: unknown, most: number): value is number =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= most;
const isCount = (value: unknown): boolean => Number.isInteger(value) && (value as number) >= 0;

function channelProblem(channel: unknown, rows: number): string | null {
  if (!isObject(channel) || typeof channel.name !== 'string' || channel.name.length > 200)
    return 'each cell has a name.';
  const { values, noise, clipped } = channel;
  if (!Array.isArray(values) || values.length !== rows) return 'values are as many as hours.';
  if (!values.every((value) => value === null || isNumber(value, MOST_VALUE)))
    return 'values are numbers, or null.';
  if (!isCount(channel.rows)) return 'rows is a whole number.';
  if (!isNumber(noise, MOST_VALUE) || noise < 0) return 'noise is a number.';
  const spans =
    Array.isArray(clipped) &&
    clipped.length <= MOST_ROWS &&
    clipped.every(
      (span) => Array.isArray(span) && span.length === 2 && span.every((at) => isNumber(at, MOST_HOURS)),
    );
  return spans ? null : 'clipped is a list of two hours each.';
}

/** What is wrong with a record of a calorimeter from outside, in one sentence; null when nothing is. */
export function heatProblem(value: unknown): string | null {
  if (!isObject(value)) return 'an object is expected.';
  const { start, hours, channels, troubles, unit } = value;
  if (!isCount(value.version) || !isCount(value.rows)) return 'version and rows are whole numbers.';
  if (!isNumber(value.length, MOST_HOURS)) return 'length is a number of hours.';
  if (typeof value.averaged !== 'boolean') return 'averaged is true or false.';
  if (start !== null && !readInstant(start).ok) return 'start is an instant, or null.';
  if (!CARRIED_UNITS.some((each) => each === unit)) return `unit is one of ${CARRIED_UNITS.join(', ')}.`;
  if (!Array.isArray(troubles) || !troubles.every((each) => RECORD_TROUBLES.some((known) => known === each)))
    return `troubles are of ${RECORD_TROUBLES.join(', ')}.`;
  if (!Array.isArray(hours) || hours.length > MOST_ROWS || !hours.every((at) => isNumber(at, MOST_HOURS)))
    return `hours is a list of at most ${MOST_ROWS} numbers.`;
  if (hours.some((at, place) => place > 0 && at <= (hours[place - 1] ?? at)))
    return 'hours rise from row to row.';
  if (!Array.isArray(channels) || channels.length > MOST_CHANNELS)
    return `channels is a list of at most ${MOST_CHANNELS} cells.`;
  return channels.map((each) => channelProblem(each, hours.length)).find((each) => each !== null) ?? null;
}
