import { secondsOf } from '../clocks';
import type { Limit } from '../limits';

/** How a clock of a step stands. */
export interface StepClockReading {
  readonly minutes: number;
  /** `early`: its least time is not up; `over`: its most is past; `running`: neither, or it has no limit. */
  readonly state: 'early' | 'running' | 'over';
}

/**
 * A clock of a step at a moment.
 * @param startedAt where it started, ms since the epoch
 * @param at the moment, or the end of what it counts, ms since the epoch
 * @param limit a duration in whatever unit the register has it; absent: it only counts
 * @returns its minutes, never below 0, and how they stand against the limit, ends included
 */
export function readStepClock(startedAt: number, at: number, limit?: Limit): StepClockReading {
  const seconds = Math.max(0, (at - startedAt) / 1000);
  const minutes = seconds / 60;
  const { most, least } = limit ? secondsOf(limit) : { most: null, least: null };
  if (most !== null && seconds > most) return { minutes, state: 'over' };
  return { minutes, state: least !== null && seconds < least ? 'early' : 'running' };
}
