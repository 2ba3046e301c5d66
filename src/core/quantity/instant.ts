const INSTANT =
  /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})(?::(\d{2})(?:\.\d{1,9})?)?(?:Z|[+-](\d{2}):([0-5]\d))$/u;
const DAY = /^(\d{4})-(\d{2})-(\d{2})$/u;

/** The years that a laboratory's record can lie in; outside them a time is a slip of the fingers. Our choice. */
export const FIRST_YEAR = 1990;
export const LAST_YEAR = 2199;

function isCalendarDay(year: number, month: number, day: number): boolean {
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
}

/**
 * Reads an instant as it is stored and sent: `2031-05-14T09:30:00-04:00`, RFC 3339. Week dates, ordinal dates, dates
 * without punctuation and times without an offset are other things and are not read.
 * @param text the words as they came
 * @returns the instant, or what is wrong with it in a few words
 */
export function readInstant(text: unknown): { ok: true; at: Date } | { ok: false; problem: string } {
  const match = typeof text === 'string' && text.length <= 40 ? INSTANT.exec(text) : null;
  if (!match) {
    return typeof text === 'string' && /^\d{4}-\d{2}-\d{2}T[\d:.]{5,}$/u.test(text)
      ? { ok: false, problem: 'the offset from UTC is missing (Z or -04:00).' }
      : { ok: false, problem: 'give date and time as 2031-05-14T09:30:00-04:00.' };
  }
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0, second = 0, offset = 0] = match
    .slice(1)
    .map((part) => Number(part ?? 0));
  if (!isCalendarDay(year, month, day) || hour > 23 || minute > 59 || second > 59 || offset > 14)
    return { ok: false, problem: 'there is no such date or time.' };
  if (year < FIRST_YEAR || year > LAST_YEAR)
    return { ok: false, problem: `the year ${year} cannot be: check the digits.` };
  return { ok: true, at: new Date(text as string) };
}

/** Reads a calendar day, `2031-05-14`; undefined when there is no such day or it lies outside the years of a record. */
export function readDay(text: unknown): string | undefined {
  const match = typeof text === 'string' ? DAY.exec(text) : null;
  if (!match) return undefined;
  const [year = 0, month = 0, day = 0] = match.slice(1).map(Number);
  return isCalendarDay(year, month, day) && year >= FIRST_YEAR && year <= LAST_YEAR ? match[0] : undefined;
}

/** True for a time zone that the calendar knows by its name: `America/New_York`. */
export function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}
