import { DateTime } from 'luxon';
import { remembered } from '../quantity';

/**
 * The last day on which what was verified may be used: the same day of the month, so many months after its verification
 * (the last day of the month if it has no such day), that day included.
 * @param verifiedOn calendar date `2031-04-02`
 * @returns the due date in the same form
 */
export const dueOn = remembered(
  2000,
  (verifiedOn: string, months: number) => `${months} ${verifiedOn}`,
  (verifiedOn, months) =>
    DateTime.fromISO(verifiedOn, { zone: 'utc' }).plus({ months }).toISODate() ?? verifiedOn,
);
