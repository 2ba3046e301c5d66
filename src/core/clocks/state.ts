import type { Limit, Limits } from '../limits';
import { convert, type System } from '../quantity';
import { type ClockDefinition, clocksFor } from './definitions';
import type { Stamps } from './events';

/**
 * `waiting`: its start has not happened; `early`: running, its least time not up; `running`; `warning`; `over`: still
 * running past its end; `met`; `missed`: ended past its end; `ended early`: ended before its least time.
 */
export type ClockState =
  | 'waiting'
  | 'early'
  | 'running'
  | 'warning'
  | 'over'
  | 'met'
  | 'missed'
  | 'ended early';

/** One clock at one moment. */
export interface ClockReading {
  readonly clock: ClockDefinition;
  readonly state: ClockState;
  readonly limit: Limit;
  readonly startedAt: number | null;
  readonly endedAt: number | null;
  /** Seconds since the start, cut down to the place that the clock counts. */
  readonly elapsed: number | null;
  /** Seconds the clock may last at the most; null when it only has a least time. */
  readonly most: number | null;
  readonly least: number | null;
  /** Seconds left of the most; below zero when over. Null when nothing is left to count. */
  readonly left: number | null;
}

const PLACE = { tenth: 100, second: 1000, minute: 60_000 } as const;

/** Time between two stamps, in seconds, cut down to the place that counts: 15:00.9 is 15:00. */
function elapsedSeconds(clock: ClockDefinition, from: number, to: number): number {
  const place = PLACE[clock.place];
  // Times that are shown in minutes are judged between the minutes that are shown.
  if (clock.place === 'minute') return (Math.floor(to / place) - Math.floor(from / place)) * 60;
  return (Math.floor((to - from) / place) * place) / 1000;
}

/** The instant a clock starts from: the first of its events that is stamped, or the latest of them. */
function startOf(clock: ClockDefinition, stamps: Stamps): number | null {
  let start: number | null = null;
  for (const event of clock.from) {
    const at = stamps[event];
    if (at === undefined) continue;
    if (!clock.latest) return at;
    if (start === null || at > start) start = at;
  }
  return start;
}

const ends = new WeakMap<Limit, Pick<ClockReading, 'most' | 'least'>>();

/** The ends of a limit that is a time, in seconds; worked out once for each limit in force. */
export function secondsOf(limit: Limit): Pick<ClockReading, 'most' | 'least'> {
  const before = ends.get(limit);
  if (before) return before;
  const { unit, high, low } = limit;
  const made = {
    most: high ? convert(high, unit, 's').toNumber() : null,
    least: low ? convert(low, unit, 's').toNumber() : null,
  };
  ends.set(limit, made);
  return made;
}

/**
 * One clock at a moment.
 * @param stamps the sample's stamps
 * @param now instant, ms since the epoch; counts only while the clock has not ended
 * @param limits the register in force, with the school of the project
 * @param system of units (all clocks have the same value in both)
 * @returns the reading; ends are inside: 15:00 passes and 15:01 does not
 */
export function readClock(
  clock: ClockDefinition,
  stamps: Stamps,
  now: number,
  limits: Limits,
  system: System,
): ClockReading {
  const limit = limits.of(clock.limit, system);
  const { most, least } = secondsOf(limit);
  const startedAt = startOf(clock, stamps);
  const endedAt = stamps[clock.to] ?? null;
  const base = { clock, limit, startedAt, endedAt, most, least };
  if (startedAt === null) return { ...base, state: 'waiting', elapsed: null, left: null };
  const elapsed = elapsedSeconds(clock, startedAt, endedAt ?? now);
  const left = most === null ? null : most - elapsed;
  if (endedAt !== null) {
    const state =
      most !== null && elapsed > most ? 'missed' : least !== null && elapsed < least ? 'ended early' : 'met';
    return { ...base, state, elapsed, left: null };
  }
  if (left !== null && left < 0) return { ...base, state: 'over', elapsed, left };
  if (least !== null && elapsed < least) return { ...base, state: 'early', elapsed, left };
  const warned = clock.warn?.some((after) => elapsed >= after) ?? false;
  return { ...base, state: warned ? 'warning' : 'running', elapsed, left };
}

/** True when the work a clock is for has gone on without its own stamp: it is no longer shown. */
function letGo(clock: ClockDefinition, stamps: Stamps): boolean {
  return clock.letGoBy?.some((event) => stamps[event] !== undefined) ?? false;
}

/**
 * Every clock of a sample at a moment: those that run first, by the time they have left, then those that ended.
 * @param wanted leaves out clocks of work that is not planned for this sample
 * @param made kinds of specimens made of it, `beam/field`: clocks for others do not run
 */
export function readClocks(
  stamps: Stamps,
  now: number,
  limits: Limits,
  system: System,
  wanted: (clock: ClockDefinition) => boolean = () => true,
  made: readonly string[] = [],
): { readonly live: readonly ClockReading[]; readonly done: readonly ClockReading[] } {
  const all = clocksFor(limits.profile)
    .filter((clock) => !clock.for || made.includes(clock.for))
    .filter((clock) => wanted(clock) || stamps[clock.to] !== undefined)
    .filter((clock) => stamps[clock.to] !== undefined || !letGo(clock, stamps))
    .map((clock) => readClock(clock, stamps, now, limits, system));
  const live = all
    .filter(({ state }) => ['early', 'running', 'warning', 'over'].includes(state))
    // A clock with only a least time is never missed by waiting: it stands behind those that are.
    .toSorted((a, b) => (a.left ?? Number.MAX_SAFE_INTEGER) - (b.left ?? Number.MAX_SAFE_INTEGER));
  return { live, done: all.filter(({ state }) => ['met', 'missed', 'ended early'].includes(state)) };
}

/** Seconds as a clock shows them: `4:05`, `1 h 07 min`, `2.8 s` for tenths. */
export function clockText(seconds: number, place: ClockDefinition['place'] = 'second'): string {
  const sign = seconds < 0 ? '−' : '';
  const size = Math.abs(seconds);
  if (place === 'tenth') return `${sign}${size.toFixed(1)} s`;
  if (place === 'minute' || size >= 6000) {
    const minutes = Math.floor(size / 60);
    const hours = Math.floor(minutes / 60);
    return hours > 0
      ? `${sign}${hours} h ${String(minutes % 60).padStart(2, '0')} min`
      : `${sign}${minutes} min`;
  }
  return `${sign}${Math.floor(size / 60)}:${String(Math.floor(size % 60)).padStart(2, '0')}`;
}

/** A clock's limit as it is said: `5:00 or less`, `3.0 s to 7.0 s`, `2:00 or more`. */
export function clockLimitText(reading: Pick<ClockReading, 'most' | 'least' | 'clock'>): string {
  const show = (seconds: number): string => clockText(seconds, reading.clock.place);
  if (reading.most !== null && reading.least !== null)
    return `${show(reading.least)} to ${show(reading.most)}`;
  if (reading.most !== null) return `${show(reading.most)} or less`;
  return `${show(reading.least ?? 0)} or more`;
}
