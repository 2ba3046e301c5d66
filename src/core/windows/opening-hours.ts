import { DateTime } from 'luxon';

/** When a laboratory is open, in its own time zone: the same hours on the listed weekdays (1 Monday … 7 Sunday). */
export interface OpeningHours {
  readonly zone: string;
  readonly weekdays: readonly number[];
  readonly opens: string;
  readonly closes: string;
}

export interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * The parts of a window in which the laboratory is open.
 * @param window opening and closing instants, ms
 * @returns spans in order; empty when the window lies wholly in closed time
 */
export function openParts(window: { opensAt: number; closesAt: number }, hours: OpeningHours): Span[] {
  const parts: Span[] = [];
  let day = DateTime.fromMillis(window.opensAt, { zone: hours.zone }).startOf('day');
  while (day.toMillis() <= window.closesAt) {
    if (hours.weekdays.includes(day.weekday)) {
      const from = Math.max(window.opensAt, atTime(day, hours.opens));
      const to = Math.min(window.closesAt, atTime(day, hours.closes));
      if (to > from) parts.push({ from, to });
    }
    day = day.plus({ days: 1 });
  }
  return parts;
}

function atTime(day: DateTime, clock: string): number {
  const [hour = 0, minute = 0] = clock.split(':').map(Number);
  return day.set({ hour, minute }).toMillis();
}
