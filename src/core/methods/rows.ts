import { type Exact, exact, parseMeasure } from '../quantity';

/** A reading at a time, in seconds from the first row or from the start that the rows count from. */
export interface TimedValue {
  readonly seconds: Exact;
  readonly value: Exact;
}

/**
 * Rows of a time and a value, as a person writes them: `0:00 4.00`, `2 min 5.00`, `2, 5.00`; one a line or set
 * apart by semicolons. A time without a unit is in minutes.
 * @returns the rows that can be read, in order, and the text of those that cannot
 */
export function timedRows(text: string | undefined): { rows: TimedValue[]; bad: string[] } {
  const rows: TimedValue[] = [];
  const bad: string[] = [];
  for (const line of (text ?? '').split(/[\n;]/u).map((each) => each.trim())) {
    if (line === '') continue;
    const match = /^(\d+:\d\d|[\d.]+)\s*(?:min)?[\s,\t]+(-?[\d.]+)\s*%?$/u.exec(line);
    const time = match?.[1];
    const seconds = time?.includes(':')
      ? parseMeasure(time, 'duration', 's')
      : time && /^\d*\.?\d+$/u.test(time)
        ? parseMeasure(`${time} min`, 'duration', 's')
        : undefined;
    if (!seconds?.ok || !match?.[2] || !/^-?\d*\.?\d+$/u.test(match[2])) bad.push(line);
    else {
      const { value, unit } = seconds.measure;
      rows.push({ seconds: unit === 'min' ? value.times(60) : value, value: exact(match[2]) });
    }
  }
  return { rows, bad };
}
