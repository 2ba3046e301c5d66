import { secondsOf } from '../clocks';
import { cite, type Limit, type LimitId, type Limits } from '../limits';
import type { Wait } from '../waits/wait';
import { durationText } from '../windows';
import { type Finding, finding } from '../working';
import { readyWait } from './awaited';
import type { Clock, Method } from './contract';
import type { RunInput } from './fields';
import { limitsOf, type RunSetup } from './setup';
import { stepsOf } from './steps-of';

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

/** A clock of a step by what was read: where it started, and where it ended; null while it runs. */
interface Stood {
  readonly clock: Clock & { readonly limit: LimitId };
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly limit: Limit;
}

/** The clocks of a method's steps that have a limit and have begun, where they count. */
function stood(method: Method, input: RunInput, setup: RunSetup, limits: Limits): Stood[] {
  const read = input as unknown as Readonly<Record<string, unknown>>;
  const at = (name: string): number => Date.parse(String(read[name] ?? ''));
  return stepsOf(method, setup).flatMap(({ clock }) => {
    if (!hasLimit(clock) || clock.when?.(setup) === false) return [];
    const { from, to = method.performedAt } = clock;
    const [startedAt, endedAt] = [at(from), at(to)];
    if (Number.isNaN(startedAt) || endedAt < startedAt) return [];
    const limit = limits.of(clock.limit, input.system);
    return [{ clock, startedAt, endedAt: Number.isNaN(endedAt) ? null : endedAt, limit }];
  });
}

function hasLimit(clock: Clock | undefined): clock is Stood['clock'] {
  return clock?.limit !== undefined;
}

/** What is waited for by the readings of a test so far: what its method says, and the end of each clock that runs. */
export function waitsOf(method: Method, input: RunInput, setup: RunSetup): readonly Wait[] {
  const ofClocks = stood(method, input, setup, limitsOf(setup)).flatMap(
    ({ clock, startedAt, endedAt, limit }) => {
      if (!clock.waits || endedAt !== null) return [];
      const { most, least } = secondsOf(limit);
      const after = (seconds: number): string => new Date(startedAt + seconds * 1000).toISOString();
      const closes = most === null ? {} : { closes: after(most) };
      return [{ id: clock.limit, ...clock.waits, opens: after(least ?? 0), ...closes }];
    },
  );
  return [...(method.waits?.(input, setup) ?? []), ...readyWait(method, input, setup.facts), ...ofClocks];
}

/** The readings that what waits for a test hangs on, by their names; all of them where its method says it itself. */
export function waitsOn(method: Method): 'all' | ReadonlySet<string> {
  if (method.waits || method.awaits) return 'all';
  const clocks = method.steps.flatMap(({ clock }) => (clock?.waits ? [clock] : []));
  return new Set(clocks.flatMap(({ from, to = method.performedAt }) => [from, to]));
}

/** What the clocks of a method's steps found, of those that mean something: by its readings, or by what is so far. */
export function stepClockFindings(
  method: Method,
  input: RunInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const asOf = Date.parse(setup.asOf ?? '');
  return stood(method, input, setup, limits).flatMap(({ clock, startedAt, endedAt, limit }) => {
    const { from, limit: id, title, means } = clock;
    const end = endedAt ?? asOf;
    if (!means || Number.isNaN(end) || end < startedAt) return [];
    const { late, early, ...about } = means;
    const { minutes, state } = readStepClock(startedAt, end, limit);
    // What is not ended yet is not too short, but where a load would end it: then it is said before.
    const short = state === 'early' && (endedAt !== null || about.beforeLoad === true);
    const action = state === 'over' ? late : short ? early : undefined;
    if (action === undefined) return [];
    const said = `${title} for ${durationText(minutes)}.`;
    const words = { message: said, action, ...(about.severity === 'departure' ? { remark: said } : {}) };
    return [finding({ id, fields: [from], limit: cite(limit), ...about, ...words })];
  });
}
