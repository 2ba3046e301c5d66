import type { Limit, LimitId, Limits } from '../limits';
import { type MouldKind, type MouldSize, mouldOf } from '../moulds';
import { exact } from '../quantity';
import { stateOf, type WindowState } from './window-state';

const HOUR = 3_600_000;

/** When a specimen must be broken: an opening, the target and a closing, all instants (ms since the epoch). */
export interface AgeWindow {
  readonly opensAt: number;
  readonly targetAt: number;
  readonly closesAt: number;
  readonly limit: Limit;
}

const LISTED: Record<number, LimitId> = {
  24: 'age.24h',
  72: 'age.3d',
  168: 'age.7d',
  672: 'age.28d',
  2160: 'age.90d',
};

/** Ages from which a tolerance counts, of what has a table of its own: any other age has that of the next lower listed one. */
const OWN: Readonly<Partial<Record<MouldKind, readonly { readonly from: number; readonly id: LimitId }[]>>> =
  {
    'mortar cube': [
      { from: 672, id: 'mortar-cube.age-28d' },
      { from: 168, id: 'mortar-cube.age-7d' },
      { from: 72, id: 'mortar-cube.age-3d' },
      { from: 0, id: 'mortar-cube.age-24h' },
    ],
    'vibrated cube': [
      { from: 672, id: 'vibrated-cube.age-28d' },
      { from: 168, id: 'vibrated-cube.age-7d' },
      { from: 0, id: 'vibrated-cube.age-3d' },
    ],
  };

/**
 * The register entry that gives the tolerance of a designated age in hours.
 * @param size what is broken; cubes of mortar have tables of their own
 * Source: ASTM C39, ASTM C109, IS 4031-6 (from memory); cubes of mortar between the listed ages: our choice.
 */
export function ageLimitId(ageHours: number, size?: MouldSize): LimitId {
  const own = size && OWN[mouldOf(size).kind]?.find(({ from }) => ageHours >= from)?.id;
  return own ?? LISTED[ageHours] ?? 'age.other';
}

/**
 * The window in which a specimen of a designated age must fail.
 * @param castAt casting instant, ms since the epoch
 * @param ageHours designated age in elapsed hours (28 d = 672): clock changes do not move it
 * @param limits the register in force
 * @param size what is broken
 * @returns the window, ends included
 * Source: ASTM C39 table of permissible tolerances (from memory).
 */
export function ageWindow(castAt: number, ageHours: number, limits: Limits, size?: MouldSize): AgeWindow {
  const limit = limits.of(ageLimitId(ageHours, size), 'US');
  const number = limit.high ?? exact(0);
  const hours =
    limit.unit === 'percent'
      ? number.times(ageHours).div(100)
      : limit.unit === 'd'
        ? number.times(24)
        : number;
  const tolerance = hours.times(HOUR).toNumber();
  const targetAt = castAt + ageHours * HOUR;
  // Judged to the minute: only whole minutes that lie inside the window count.
  const minute = 60_000;
  return {
    opensAt: Math.ceil((targetAt - tolerance) / minute) * minute,
    targetAt,
    closesAt: Math.floor((targetAt + tolerance) / minute) * minute,
    limit,
  };
}

/**
 * What a window is at an instant.
 * @param doneAt when the work was done, if it was: `done` whether in time or not
 */
/** From which share of a window on it is closing, 0 to 1. */
export function closingShare(limits: Limits): number {
  return limits.number('age.closing', 'US').div(100).toNumber();
}

export function windowState(
  window: Pick<AgeWindow, 'opensAt' | 'closesAt'>,
  now: number,
  limits: Limits,
  doneAt?: number | null,
): WindowState {
  return stateOf(window, now, closingShare(limits), doneAt);
}

/** Where an instant lies against the window: minutes before its opening, inside, or minutes after its closing. */
export function offWindow(
  window: AgeWindow,
  at: number,
): { readonly where: 'before' | 'inside' | 'after'; readonly minutes: number } {
  const whole = Math.floor(at / 60_000) * 60_000;
  if (whole < window.opensAt) return { where: 'before', minutes: (window.opensAt - whole) / 60_000 };
  if (whole > window.closesAt) return { where: 'after', minutes: (whole - window.closesAt) / 60_000 };
  return { where: 'inside', minutes: 0 };
}
