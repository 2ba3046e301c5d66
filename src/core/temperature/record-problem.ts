import { isCount, isNumber, isObject, isOneOf, keptProblem, MOST_HOURS } from '../signals/kept-problem';
import { FAULTS } from './types';

const MOST_CHANNELS = 16;
const MOST_ROWS = 4000;
const LONGEST_NAME = 200;
/** °C that any record can have. */
const MOST_DEGREES = 1000;

const areNumbers = (value: unknown, most: number): value is number[] =>
  Array.isArray(value) && value.length <= MOST_ROWS && value.every((each) => isNumber(each, most));
const isMoment = (value: unknown): boolean =>
  isObject(value) && isNumber(value.at, MOST_HOURS) && isNumber(value.celsius, MOST_DEGREES);

/** What is wrong with a sensor of a record from outside; null when nothing is. */
function channelProblem(channel: unknown): string | null {
  if (!isObject(channel)) return 'each sensor is an object.';
  const { name, hours, celsius, gaps, faults, fastest } = channel;
  if (typeof name !== 'string' || name.length > LONGEST_NAME) return 'each sensor has a name.';
  if (!areNumbers(hours, MOST_HOURS) || !areNumbers(celsius, MOST_DEGREES))
    return `hours and celsius are lists of at most ${MOST_ROWS} numbers.`;
  if (hours.length === 0 || hours.length !== celsius.length)
    return 'hours and celsius are of one length, not empty.';
  if (hours.some((at, place) => place > 0 && at <= (hours[place - 1] as number)))
    return 'hours rise from row to row.';
  if (!areNumbers(gaps, hours.length) || !gaps.every((place) => isCount(place) && place < hours.length - 1))
    return 'gaps are places of rows that others follow.';
  if (!Array.isArray(faults) || faults.length > MOST_ROWS) return 'faults is a list.';
  for (const fault of faults) {
    const good =
      isObject(fault) &&
      isNumber(fault.at, MOST_HOURS) &&
      (fault.was === null || isNumber(fault.was, 1e9)) &&
      isOneOf(fault.why, FAULTS);
    if (!good) return `each fault has at, was and why, one of ${FAULTS.join(', ')}.`;
  }
  if (!isMoment(channel.highest) || !isMoment(channel.lowest))
    return 'highest and lowest have at and celsius.';
  const rated =
    fastest === null ||
    (isObject(fastest) && isNumber(fastest.at, MOST_HOURS) && isNumber(fastest.rate, 1e6));
  if (!rated) return 'fastest has at and rate, or is null.';
  if (!isCount(channel.rows) || !isCount(channel.removed)) return 'rows and removed are whole numbers.';
  const steps = [channel.longestEarly, channel.longestLate, channel.resolution];
  return steps.every((each) => isNumber(each, MOST_HOURS) && each >= 0)
    ? null
    : 'longestEarly, longestLate and resolution are numbers.';
}

/** What is wrong with a record of temperatures from outside, in one sentence; null when nothing is. */
export function temperatureProblem(value: unknown): string | null {
  if (!isObject(value)) return 'an object is expected.';
  const { channels, averaged } = value;
  const wrong = keptProblem(value);
  if (wrong) return wrong;
  if (averaged !== null && !isNumber(averaged, MOST_HOURS)) return 'averaged is a number of hours, or null.';
  if (!Array.isArray(channels) || channels.length > MOST_CHANNELS)
    return `channels is a list of at most ${MOST_CHANNELS} sensors.`;
  return channels.map(channelProblem).find((problem) => problem !== null) ?? null;
}
