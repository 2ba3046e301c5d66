import { DateTime } from 'luxon';
import type { Limit, LimitId, Limits } from '../limits';
import type { System } from '../quantity';
import type { Wait } from '../waits/wait';

export const STORAGE_KINDS = ['tank', 'room', 'cabinet'] as const;
export type StorageKind = (typeof STORAGE_KINDS)[number];

export const DUTIES = ['recorder-reviewed', 'recorder-checked', 'tank-stirred', 'tank-cleaned'] as const;
export type Duty = (typeof DUTIES)[number];

interface DutyFacts {
  /** What is done, as an order. */
  readonly title: string;
  readonly limit: LimitId;
  readonly kinds: readonly StorageKind[];
  /** How it is done, and what to mind. */
  readonly how: string;
}

/** What tanks and rooms ask for besides their specimens. Intervals are in the register: ASTM C511, C1077 (from memory). */
export const DUTY_FACTS: Readonly<Record<Duty, DutyFacts>> = {
  'recorder-reviewed': {
    title: 'Review the temperature record',
    limit: 'curing.recorder-reviewed',
    kinds: ['tank', 'room', 'cabinet'],
    how: 'Read the lowest and the highest since the last review; look for gaps and for a line that does not move.',
  },
  'recorder-checked': {
    title: 'Check the recorder',
    limit: 'curing.recorder-checked',
    kinds: ['tank', 'room', 'cabinet'],
    how: 'Hold it against a reference thermometer at the working temperature.',
  },
  'tank-stirred': {
    title: 'Stir the tank',
    limit: 'curing.tank-stirred',
    kinds: ['tank'],
    how: 'Some lime must lie undissolved on the bottom. Lime water burns: gloves and goggles, by the safety data sheet.',
  },
  'tank-cleaned': {
    title: 'Empty and clean the tank',
    limit: 'curing.tank-cleaned',
    kinds: ['tank'],
    how: 'Fresh water, lime to saturation. Lime water burns, and is not for the drain: by the safety data sheet and local rules.',
  },
};

export type DutyState = 'never done' | 'in order' | 'due soon' | 'overdue';

/** How a duty stands at a moment. */
export interface DutyReading {
  readonly duty: Duty;
  readonly state: DutyState;
  readonly doneAt: number | null;
  readonly dueAt: number | null;
  readonly limit: Limit;
}

const DAY = 86_400_000;
/** Share of the interval after which it is due soon. Our choice. */
const WARN_SHARE = 0.8;

/**
 * How a duty of a tank or room stands.
 * @param doneAt instant it was last done, ms since the epoch; null when never
 * @param now instant, ms since the epoch
 * @returns when it is due again and its state; due at the very instant is still in time
 * Source: intervals ASTM C511 and C1077 (from memory); the warning at 80 % is our choice.
 */
export function readDuty(
  duty: Duty,
  doneAt: number | null,
  now: number,
  limits: Limits,
  system: System,
): DutyReading {
  const limit = limits.of(DUTY_FACTS[duty].limit, system);
  if (doneAt === null) return { duty, state: 'never done', doneAt, dueAt: null, limit };
  const most = limit.high?.toNumber() ?? 0;
  const dueAt =
    limit.unit === 'd'
      ? doneAt + most * DAY
      : DateTime.fromMillis(doneAt, { zone: 'utc' }).plus({ months: most }).toMillis();
  const state =
    now > dueAt ? 'overdue' : now >= doneAt + WARN_SHARE * (dueAt - doneAt) ? 'due soon' : 'in order';
  return { duty, state, doneAt, dueAt, limit };
}

/**
 * A duty of a tank or room as what is waited for: from when it is due soon to when it is due; one that was never done is
 * due from the beginning.
 * @param since when the tank or room was taken into use
 */
export function dutyWait(
  duty: Duty,
  doneAt: number | null,
  since: number,
  limits: Limits,
  system: System,
): Wait {
  const { dueAt } = readDuty(duty, doneAt, since, limits, system);
  const instant = (at: number): string => new Date(Math.round(at)).toISOString();
  return {
    id: duty,
    what: DUTY_FACTS[duty].title,
    lane: 'tank',
    ...(doneAt === null || dueAt === null
      ? { opens: instant(since) }
      : { opens: instant(doneAt + WARN_SHARE * (dueAt - doneAt)), closes: instant(dueAt) }),
  };
}

/** The duties that a kind of storage has. */
export function dutiesOf(kind: StorageKind): readonly Duty[] {
  return DUTIES.filter((duty) => DUTY_FACTS[duty].kinds.includes(kind));
}
