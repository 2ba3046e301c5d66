import { DateTime } from 'luxon';
import type { LimitId, Limits } from '../limits';
import { type Finding, finding } from '../working';
import { limitsOf, type RunSetup } from './setup';
import { timeOfDay } from './time-of-day';

/** Saturday, as luxon counts the days of a week. */
const SATURDAY = 6;
/** No opening is farther away than a long week-end. */
const DAYS = 5;

/** When the laboratory is open, in words. */
export function openingText(limits: Limits): string {
  const [opens, closes] = hoursOf(limits);
  return `Monday to Friday, ${timeOfDay(opens)} to ${timeOfDay(closes)}`;
}

function hoursOf(limits: Limits): [number, number] {
  return [limits.number('lab.opens', 'US').toNumber(), limits.number('lab.closes', 'US').toNumber()];
}

/** The time that the laboratory is open on the day of a moment, ms since the epoch; null on a day it is closed. */
function openOn(day: DateTime, limits: Limits): readonly [number, number] | null {
  if (day.weekday >= SATURDAY) return null;
  const [opens, closes] = hoursOf(limits);
  const at = (hours: number): number =>
    day
      .startOf('day')
      .plus({ minutes: hours * 60 })
      .toMillis();
  return [at(opens), at(closes)];
}

/**
 * When somebody is there first, from a moment on.
 * @param at ms since the epoch @param until the last moment that serves; absent: any later one does
 * @returns ms since the epoch; null where nobody is there in time
 */
export function firstOpen(at: number, zone: string, limits: Limits, until?: number): number | null {
  for (let days = 0; days <= DAYS; days++) {
    const open = openOn(DateTime.fromMillis(at, { zone }).plus({ days }), limits);
    const first = open && Math.max(at, open[0]);
    if (!open || first === null || first > open[1]) continue;
    return until !== undefined && first > until ? null : first;
  }
  return null;
}

/**
 * Advice on a wait that nobody will be there to end: a soak that is over on a Saturday, a boil that ends in the evening.
 * @param wait where it begins, where it was ended, the row of its time, the field that began it
 */
export function closedFindings(
  {
    from,
    done,
    limit,
    field,
  }: { from: string | undefined; done: string | undefined; limit: LimitId; field: string },
  setup: RunSetup,
): Finding[] {
  const began = Date.parse(from ?? '');
  if (Number.isNaN(began) || done) return [];
  const limits = limitsOf(setup);
  const zone = setup.zone ?? 'utc';
  const { low, high } = limits.of(limit, 'US');
  const hour = 3_600_000;
  const over = began + (low?.toNumber() ?? 0) * hour;
  // What has no end may wait until somebody is there, but not what is hot.
  const until = high ? began + high.toNumber() * hour : over;
  if (firstOpen(over, zone, limits, until) !== null) return [];
  const said = DateTime.fromMillis(over, { zone }).toFormat('cccc HH:mm');
  return [
    finding({
      id: 'lab.closed',
      severity: 'advice',
      fields: [field],
      message: `It is over on ${said}, when nobody is here.`,
      action: `Begin it so that it ends while the laboratory is open (${openingText(limits)}), or say who comes.`,
    }),
  ];
}
