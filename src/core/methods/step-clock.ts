import { secondsOf } from '../clocks';
import { cite, type Limit, type Limits } from '../limits';
import { durationText } from '../windows';
import { type Finding, finding } from '../working';
import type { Method } from './contract';
import type { RunInput } from './fields';
import type { RunSetup } from './setup';

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

/** What the clocks of a method's steps found, of those that mean something: by its readings, or by what is so far. */
export function stepClockFindings(
  method: Method,
  input: RunInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const read = input as unknown as Readonly<Record<string, unknown>>;
  const at = (name: string): number => Date.parse(String(read[name] ?? ''));
  return method.steps.flatMap(({ clock }) => {
    if (!clock?.limit || !clock.means) return [];
    const { from, to = method.performedAt, limit: id, title, means } = clock;
    const { late, early, when, ...about } = means;
    const end = Number.isNaN(at(to)) ? Date.parse(setup.asOf ?? '') : at(to);
    if (Number.isNaN(at(from)) || Number.isNaN(end) || end < at(from) || when?.(setup) === false) return [];
    const limit = limits.of(id, input.system);
    const { minutes, state } = readStepClock(at(from), end, limit);
    // What is not ended yet is not too short.
    const action = state === 'over' ? late : state === 'early' && !Number.isNaN(at(to)) ? early : undefined;
    if (action === undefined) return [];
    const said = `${title} for ${durationText(minutes)}.`;
    const words = { message: said, action, ...(about.severity === 'departure' ? { remark: said } : {}) };
    return [finding({ id, fields: [from], limit: cite(limit), ...about, ...words })];
  });
}
