import { dayTime } from '../time';

/**
 * How the hours of a record are said: as days and times where it says when it began, else as hours.
 * @param length hours of it @returns `when` for an hour of it, `span` for all of it
 */
export function recordTimes(
  { start, length }: { readonly start: string | null; readonly length: number },
  zone: string,
) {
  const began = start ? Date.parse(start) : null;
  const when = (hours: number): string =>
    began === null ? `${hours.toFixed(1)} h` : dayTime(new Date(began + hours * 3_600_000), zone);
  const span =
    began === null
      ? `${length.toFixed(1)} h, without a date`
      : `${when(0)} to ${when(length)}, ${length.toFixed(1)} h`;
  return { when, span };
}
