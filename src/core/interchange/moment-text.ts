import { DateTime } from 'luxon';
import { instantOf } from './table';

/** What a time without a date is read against. */
export interface MomentContext {
  readonly zone: string;
  /** The moment before it, ms since the epoch: the row above, or now. */
  readonly near: number;
  /** Its seconds count: a time of day is asked for with them. */
  readonly seconds?: boolean;
  /** The first row of the table, from which `+2:00` counts. */
  readonly first?: number;
}

/**
 * A moment as people write it in a table: `9:41`, `9:41:30`, `2031-06-10 9:41`, ISO 8601, or `+2:00` for two minutes
 * after the first row.
 * @returns ISO 8601 in UTC, or what is wrong in one sentence
 */
export function readMoment(text: string, about: MomentContext): { at: string } | { problem: string } {
  const plain = text.trim();
  const after = /^\+(\d{1,3}):([0-5]\d)$/u.exec(plain);
  if (after) {
    if (about.first === undefined) return { problem: 'the first row needs a time of day to count from.' };
    return { at: iso(about.first + (Number(after[1]) * 60 + Number(after[2])) * 1000) };
  }
  const clock = /^(\d{1,2}):([0-5]\d)(?::([0-5]\d))?$/u.exec(plain);
  if (!clock) {
    const at = instantOf(plain, about.zone);
    return at ? { at } : { problem: `${shorter(plain)} is no time: write it as ${sample(about)}.` };
  }
  const [hour = 0, minute = 0, second = 0] = clock.slice(1).map((part) => Number(part ?? 0));
  if (hour > 23) return { problem: `${plain} is no time of day: write it as ${sample(about)}.` };
  if (about.seconds && clock[3] === undefined)
    return {
      problem: `its seconds count: write the time of day as ${sample(about)}, or +${plain} after the first row.`,
    };
  const day = DateTime.fromMillis(about.near, { zone: about.zone });
  const there = day.set({ hour, minute, second, millisecond: 0 });
  // Work goes on past midnight: of yesterday, today and tomorrow the nearest one is meant.
  const [nearest] = [-1, 0, 1]
    .map((days) => there.plus({ days }).toMillis())
    .toSorted((a, b) => Math.abs(a - about.near) - Math.abs(b - about.near));
  return { at: iso(nearest ?? there.toMillis()) };
}

const sample = ({ seconds }: MomentContext): string => (seconds ? '9:41:30' : '9:41');
const iso = (at: number): string => new Date(at).toISOString();
const shorter = (text: string): string => (text.length > 24 ? `${text.slice(0, 24)}…` : text);
