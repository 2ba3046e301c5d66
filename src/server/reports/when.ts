import { DateTime } from 'luxon';

/** An instant as a report prints it, where the work is. */
export function when(at: Date | string, zone: string): string {
  const instant = typeof at === 'string' ? DateTime.fromISO(at) : DateTime.fromJSDate(at);
  return instant.setZone(zone).toFormat("d LLL yyyy HH:mm 'UTC'ZZ");
}
