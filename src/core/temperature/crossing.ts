import { riseOver } from '../signals/rise';
import type { Series } from './types';

/** Our choices: the rise of these last hours is carried on, and no farther ahead than this. */
const WINDOWS = [2, 6] as const;
const FARTHEST_H = 24;

/** When what rises comes to a limit, hours from the last row; the sooner and the later of what its rise promises. */
export interface Crossing {
  readonly soonest: number;
  readonly latest: number;
}

/**
 * When a series that still rises comes to a limit, by its rise of the last two and of the last six hours.
 * @param limit °C, above its last row
 * @returns null where it is there already, does not rise, or would take more than a day by both
 * Source: our choice: a straight line is carried on, which a curve that bends over comes to later or never.
 */
export function crossing(
  { hours, celsius }: Pick<Series, 'hours' | 'celsius'>,
  limit: number,
): Crossing | null {
  const left = limit - (celsius.at(-1) ?? limit);
  if (left <= 0) return null;
  const rows = [...hours.keys()];
  const ahead = WINDOWS.flatMap((window) => {
    const rise = riseOver(
      rows,
      (row) => hours[row] ?? 0,
      (row) => celsius[row] ?? 0,
      window,
    );
    return rise !== null && rise > 0 ? [left / rise] : [];
  });
  if (ahead.length < WINDOWS.length) return null;
  const [soonest, latest] = [Math.min(...ahead), Math.max(...ahead)];
  return soonest > FARTHEST_H ? null : { soonest, latest };
}
