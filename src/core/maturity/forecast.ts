import { fitLine } from '../statistics';
import { firstFrom, type MaturityFunction, type Series, worthOf } from '../temperature';

/** What concrete is expected to do from now on. */
export interface Outlook {
  /** °C now. */
  readonly now: number;
  /** °C of the air, hour by hour; the last one stays. */
  readonly air: readonly number[];
  /** Hours in which it comes nearer to the air by a factor of e; null where it is not known: then it is taken as the air. */
  readonly constant: number | null;
}

const MOST_H = 60 * 24;

/**
 * Hours until an index is reached.
 * @param missing what is still to come of it
 * @returns null where it is not reached within sixty days
 * Source: our choice.
 */
export function hoursUntil(
  how: MaturityFunction,
  missing: number,
  { now, air, constant }: Outlook,
): number | null {
  if (missing <= 0) return 0;
  let [left, concrete] = [missing, now];
  for (let hour = 0; hour < MOST_H; hour += 1) {
    const outside = air[Math.min(hour, air.length - 1)] ?? now;
    const next = constant === null ? outside : outside + (concrete - outside) * Math.exp(-1 / constant);
    const worth = worthOf(how, constant === null ? outside : (concrete + next) / 2);
    if (worth >= left) return hour + left / worth;
    left -= worth;
    concrete = next;
  }
  return null;
}

const LAST_H = 12;
const LEAST_ABOVE = 1;
const LEAST_ROWS = 6;

/**
 * The time constant with which a member cools towards the air, by its last twelve hours.
 * @param air °C, taken as constant over them
 * @returns null where it does not cool, or is too near the air to tell
 */
export function coolingConstant({ hours, celsius }: Series, air: number): number | null {
  const last = hours.at(-1);
  if (last === undefined) return null;
  const from = firstFrom(hours, last - LAST_H);
  const rows = hours.slice(from).flatMap((at, place) => {
    const above = (celsius[from + place] as number) - air;
    return above >= LEAST_ABOVE ? [{ x: at, y: Math.log(above) }] : [];
  });
  if (rows.length < LEAST_ROWS) return null;
  const line = fitLine(rows)?.slope ?? 0;
  return line < 0 ? -1 / line : null;
}

/**
 * A later strength from an early one, by the slope of a logarithmic curve of the same mix.
 * @param early strength and its own index
 * @param slope strength for each tenfold of the index
 * Source: ASTM C918/C918M (from memory).
 */
export function projected(
  early: { readonly strength: number; readonly index: number },
  slope: number,
  index: number,
): number {
  return early.strength + slope * (Math.log10(index) - Math.log10(early.index));
}
