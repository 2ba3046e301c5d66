import { isCount, isNumber, isObject, isOneOf, keptProblem, MOST_HOURS } from '../signals/kept-problem';
import { CARRIED_UNITS } from './record';

const MOST_CHANNELS = 16;
const MOST_ROWS = 8000;
const MOST_VALUE = 1e7;

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
  const { hours, channels, unit } = value;
  const wrong = keptProblem(value);
  if (wrong) return wrong;
  if (typeof value.averaged !== 'boolean') return 'averaged is true or false.';
  if (!isOneOf(unit, CARRIED_UNITS)) return `unit is one of ${CARRIED_UNITS.join(', ')}.`;
  if (!Array.isArray(hours) || hours.length > MOST_ROWS || !hours.every((at) => isNumber(at, MOST_HOURS)))
    return `hours is a list of at most ${MOST_ROWS} numbers.`;
  if (hours.some((at, place) => place > 0 && at <= (hours[place - 1] ?? at)))
    return 'hours rise from row to row.';
  if (!Array.isArray(channels) || channels.length > MOST_CHANNELS)
    return `channels is a list of at most ${MOST_CHANNELS} cells.`;
  return channels.map((each) => channelProblem(each, hours.length)).find((each) => each !== null) ?? null;
}
