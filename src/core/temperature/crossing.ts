import type { Series } from './types';

/** Our choices: the rise of these last hours is carried on, and no farther ahead than this. */
const WINDOWS = [2, 6] as const;
const FEWEST = 3;
const FARTHEST_H = 24;

/** When what rises comes to a limit, hours from the last row; the sooner and the later of what its rise promises. */
export interface Crossing {
  readonly soonest: number;
  readonly latest: number;
}

/** Least-squares rise over the last hours, °C/h; null for too few rows. */
function riseOf({ hours, celsius }: Pick<Series, 'hours' | 'celsius'>, window: number): number | null {
  const last = hours.at(-1) ?? 0;
  const from = hours.findIndex((at) => at >= last - window - 1e-9);
  const count = hours.length - from;
  if (from < 0 || count < FEWEST) return null;
  let [sx, sy, sxx, sxy] = [0, 0, 0, 0];
  for (let place = from; place < hours.length; place += 1) {
    const [x, y] = [(hours[place] ?? 0) - last, celsius[place] ?? 0];
    [sx, sy, sxx, sxy] = [sx + x, sy + y, sxx + x * x, sxy + x * y];
  }
  const spread = count * sxx - sx * sx;
  return spread > 0 ? (count * sxy - sx * sy) / spread : null;
}

/**
 * When a series that still rises comes to a limit, by its rise of the last two and of the last six hours.
 * @param limit °C, above its last row
 * @returns null where it is there already, does not rise, or would take more than a day by both
 * Source: our choice: a straight line is carried on, which a curve that bends over comes to later or never.
 */
export function crossing(series: Pick<Series, 'hours' | 'celsius'>, limit: number): Crossing | null {
  const left = limit - (series.celsius.at(-1) ?? limit);
  if (left <= 0) return null;
  const hours = WINDOWS.flatMap((window) => {
    const rise = riseOf(series, window);
    return rise !== null && rise > 0 ? [left / rise] : [];
  });
  if (hours.length < WINDOWS.length) return null;
  const [soonest, latest] = [Math.min(...hours), Math.max(...hours)];
  return soonest > FARTHEST_H ? null : { soonest, latest };
}
