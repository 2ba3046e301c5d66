import { DateTime } from 'luxon';
import { Invalid } from './errors';

/**
 * The beginning or the end of a day in a zone.
 * @param text as 2031-03-01 @param field which end it is, and where it was typed
 * @throws Invalid at that field for what is no day
 */
export function dayBound(text: string, zone: string, field: 'from' | 'to'): Date {
  const day = DateTime.fromISO(text, { zone });
  if (!/^\d{4}-\d\d-\d\d$/u.test(text) || !day.isValid)
    throw new Invalid({ [field]: 'Give the day, such as 2031-03-01.' });
  return (field === 'from' ? day.startOf('day') : day.endOf('day')).toJSDate();
}
