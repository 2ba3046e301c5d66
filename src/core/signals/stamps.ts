import { DateTime } from 'luxon';

/** How a row says when it was taken. */
export const STAMPS = ['instant', 'day first', 'month first', 's', 'min', 'h', 'd', 'ms', 'h:mm:ss'] as const;
export type Stamp = (typeof STAMPS)[number];

/** Two numbers and a year: which of the two is the day, the file must tell. */
const EITHER =
  /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})(?:[ T]+(\d{1,2}):(\d\d)(?::(\d\d(?:\.\d+)?))?(?:\s*([ap])\.?m\.?)?)?$/iu;
const INSTANT =
  /^(\d{4})[-/](\d\d)[-/](\d\d)(?:[T ](\d\d):(\d\d)(?::(\d\d(?:\.\d+)?))?)?(Z|[+-]\d\d:?\d\d)?$/u;
const CLOCK = /^(\d{1,2}):(\d\d)(?::(\d\d(?:\.\d+)?))?(?:\s*([ap])\.?m\.?)?$/iu;
const NUMBER = /^\d+(?:[.,]\d+)?(?:e[+-]?\d+)?$/iu;

/** A time that runs from nought, not one of a day: its hours go on past 24. */
const COUNTED = /^0+:\d\d:\d\d(?:[.,]\d+)?$/u;

export type DateOrder = 'day first' | 'month first';

/**
 * How a record writes its dates: by a number that can be no month, by points (day first wherever they are used), or
 * because all its rows are of one day.
 * @returns undefined when the rows can be read both ways; then the person must say it
 */
export function dateOrder(times: readonly string[]): DateOrder | 'no matter' | undefined {
  const found = times.map((time) => EITHER.exec(time.trim())).filter((match) => match !== null);
  if (found.length === 0) return 'no matter';
  if (found.some(([, first]) => Number(first) > 12)) return 'day first';
  if (found.some(([, , , second]) => Number(second) > 12)) return 'month first';
  if (found.some(([, , mark]) => mark === '.')) return 'day first';
  // On one day, or where both numbers are the same, both orders give the same hours.
  const dates = new Set(found.map(([, first, , second]) => `${first}/${second}`));
  return dates.size <= 1 ? 'no matter' : undefined;
}

/** A moment as a file writes it: seconds since 1970 of its own clock, and whether its clock has no zone. */
export interface Stamped {
  readonly seconds: number;
  readonly wall: boolean;
}

function seconds(
  [year, month, day]: readonly [number, number, number],
  clock: readonly [string | undefined, string | undefined, string | undefined, string | undefined],
): number {
  const [hour = '0', minute = '0', second = '0', half] = clock;
  const hours = half ? (Number(hour) % 12) + (/p/iu.test(half) ? 12 : 0) : Number(hour);
  const midnight = Date.UTC(year, month - 1, day);
  // A day that its month does not have would quietly become one of the next.
  const there = new Date(midnight);
  if (there.getUTCDate() !== day || there.getUTCMonth() !== month - 1) return Number.NaN;
  if (hours > 23 || Number(minute) > 59 || Number(second) >= 60) return Number.NaN;
  return midnight / 1000 + hours * 3600 + Number(minute) * 60 + Number(second);
}

/**
 * The moment that a date, or a date with its clock, stands for.
 * @param order of day and month where both are numbers
 * @returns undefined where it is none
 */
export function readStamp(text: string, order: DateOrder): Stamped | undefined {
  const plain = INSTANT.exec(text);
  if (plain) {
    const [, year, month, day, hour, minute, second, zone] = plain;
    const at = seconds([Number(year), Number(month), Number(day)], [hour, minute, second, undefined]);
    if (Number.isNaN(at)) return undefined;
    if (!zone) return { seconds: at, wall: true };
    if (zone === 'Z') return { seconds: at, wall: false };
    const sign = zone.startsWith('-') ? -1 : 1;
    const minutes = Number(zone.slice(1, 3)) * 60 + Number(zone.slice(-2));
    return { seconds: at - sign * minutes * 60, wall: false };
  }
  const either = EITHER.exec(text);
  if (!either) return undefined;
  const [, first, , second, year, hour, minute, rest, half] = either;
  const [day, month] = order === 'day first' ? [first, second] : [second, first];
  const at = seconds([Number(year), Number(month), Number(day)], [hour, minute, rest, half]);
  return Number.isNaN(at) ? undefined : { seconds: at, wall: true };
}

/** What a cell of a column of time is, as far as it can be told from itself and its heading. */
export function stampOf(cell: string, heading: string): Stamp | undefined {
  if (INSTANT.test(cell)) return 'instant';
  if (EITHER.test(cell)) return 'day first';
  if (COUNTED.test(cell)) return 'h:mm:ss';
  if (!NUMBER.test(cell)) return undefined;
  if (/milli|_ms\b|\bms\b|\(ms\)/u.test(heading)) return 'ms';
  if (/min/u.test(heading)) return 'min';
  if (/hour|_h\b|\bh\b|\(h\)/u.test(heading)) return 'h';
  if (/\bdays?\b|_d\b|\(d\)/u.test(heading)) return 'd';
  // A number of that size is a count from 1970 whatever its heading says.
  return Number(cell.replace(',', '.')) > 1e11 ? 'ms' : 's';
}

/** True where a cell is a time of day that stands apart from its date. */
export function isClock(cell: string): boolean {
  return CLOCK.test(cell);
}

/**
 * Seconds to take from the clock of a logger without a zone to have seconds since 1970: it is set to the zone of the job
 * and does not follow summer time while it records.
 * @param first seconds of its first row as its own clock shows them
 */
export function zoneSeconds(first: number, zone: string): number {
  const there = DateTime.fromSeconds(first, { zone: 'utc' }).setZone(zone, { keepLocalTime: true });
  return there.isValid ? there.offset * 60 : 0;
}
