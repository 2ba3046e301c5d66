import { isLimitId, type Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';

/** The heights and the least widths that factors are listed for, in mm. Source: EN 772-1 Table A.1 (from memory). */
const HEIGHTS = [40, 50, 65, 100, 150, 200, 250] as const;
const WIDTHS = [50, 100, 150, 200, 250] as const;

/** Where a size lies between two listed ones; undefined below the first. What is above the last counts as the last. */
function between(
  value: Exact,
  listed: readonly number[],
): { low: number; high: number; part: Exact } | undefined {
  const last = listed.at(-1) ?? 0;
  if (value.lessThan(listed[0] ?? 0)) return undefined;
  if (value.greaterThanOrEqualTo(last)) return { low: last, high: last, part: exact(0) };
  const place = listed.findIndex((each) => value.lessThan(each));
  const [low, high] = [listed[place - 1] ?? last, listed[place] ?? last];
  return { low, high, part: value.minus(low).div(high - low) };
}

/**
 * The factor by which the strength of a unit is brought to that of one 100 mm high and wide.
 * @param height and @param width least horizontal size, in in or mm
 * @returns linear between the listed sizes, both ways; undefined where the table is empty
 * Source: EN 772-1 Table A.1 (from memory).
 */
export function shapeFactor(height: Exact, width: Exact, limits: Limits, system: System): Exact | undefined {
  const mm = (value: Exact): Exact => (system === 'US' ? value.times('25.4') : value);
  const [h, w] = [between(mm(height), HEIGHTS), between(mm(width), WIDTHS)];
  if (!h || !w) return undefined;
  const listed = (high: number, wide: number): Exact | undefined => {
    const id = `shape.${high}-${wide}`;
    return isLimitId(id) ? limits.number(id, system) : undefined;
  };
  const along = (wide: number): Exact | undefined => {
    const [low, high] = [listed(h.low, wide), listed(h.high, wide)];
    return low && high && low.plus(high.minus(low).times(h.part));
  };
  const narrow = along(w.low);
  // A size that is listed needs nothing beyond it.
  const broad = w.part.isZero() ? narrow : along(w.high);
  return narrow && broad && narrow.plus(broad.minus(narrow).times(w.part));
}
