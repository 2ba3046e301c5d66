import { type Exact, exact, parseMeasure } from '../quantity';
import { type Finding, finding } from '../working';

/** The lines of what a person wrote, trimmed, without the empty ones. */
export function linesOf(text: string | undefined, between = /\n/u): string[] {
  return (text ?? '')
    .split(between)
    .map((each) => each.trim())
    .filter((each) => each !== '');
}

/** Says which lines of a field could not be read, the first three of them; nothing when all could. */
export function unreadRows(id: string, field: string, bad: readonly string[], action: string): Finding[] {
  if (bad.length === 0) return [];
  const message = `Not read: ${bad.slice(0, 3).join('; ')}.`;
  return [finding({ id, severity: 'advice', fields: [field], message, action })];
}

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
  for (const line of linesOf(text, /[\n;]/u)) {
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
