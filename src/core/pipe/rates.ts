import type { Limits } from '../limits';
import { Exact, exact, type System } from '../quantity';
import { fitLine } from '../statistics/line';

/** How a pipe is loaded: loads in lbf or kN, rates in the same a minute, times in seconds. */
export interface RatePlan {
  /** Where the first rate ends, and the load that it is designed for. */
  readonly turn: Exact;
  readonly design: Exact;
  readonly first: Exact;
  readonly second: Exact;
  /** The least that each part takes. */
  readonly firstSeconds: Exact;
  readonly secondSeconds: Exact;
}

/**
 * The rates of a pipe, up to the load that it is designed for; beyond that there is none.
 * @param design that load, lbf or kN @param length of the test, ft or m
 * @param steady one rate throughout, kN/m a minute, where another country's standard has one
 * Source: ASTM C497 (from memory): no more than 7,500 lbf a foot and minute to 75 % of it, then no more than a third of it a
 *   minute. That the second is never faster than the first is our choice.
 */
export function ratePlan(
  design: Exact,
  length: Exact,
  limits: Limits,
  system: System,
  steady?: Exact,
): RatePlan {
  const first = (steady ?? limits.number('teb.first-rate', system)).times(length);
  const third = steady ? first : design.div(limits.number('teb.second-rate', system));
  const second = Exact.min(third, first);
  const turn = design.times(limits.number('teb.switch', system)).div(100);
  return {
    turn,
    design,
    first,
    second,
    firstSeconds: turn.div(first).times(60),
    secondSeconds: design.minus(turn).div(second).times(60),
  };
}

/** A load that was read at a time, in seconds. */
export interface LoadAt {
  readonly seconds: Exact;
  readonly load: Exact;
}

/** A stretch of a record in one of its parts, and how fast it rose there, a minute. */
export interface Rise {
  readonly part: 'first' | 'second';
  readonly from: LoadAt;
  readonly to: LoadAt;
  readonly rate: Exact;
}

/**
 * How fast a record by hand rose, from one reading to the next. One that reaches into both parts has one rate, which is held
 * in each.
 * @param log in the order of time
 * @returns nothing for a load that falls
 * Source: ASTM C497 (from memory); that an end that only touches counts for nothing is our choice.
 */
export function risesOf(log: readonly LoadAt[], plan: RatePlan): Rise[] {
  return log.slice(1).flatMap((to, place): Rise[] => {
    const from = log[place] ?? to;
    const seconds = to.seconds.minus(from.seconds);
    if (!seconds.greaterThan(0)) return [];
    const rate = to.load.minus(from.load).div(seconds).times(60);
    const [low, high] = [Exact.min(from.load, to.load), Exact.max(from.load, to.load)];
    const parts = [
      ['first', low.lessThan(plan.turn)],
      ['second', high.greaterThan(plan.turn) && low.lessThan(plan.design)],
    ] as const;
    return parts.flatMap(([part, inside]) =>
      inside && rate.greaterThan(0) ? [{ part, from, to, rate }] : [],
    );
  });
}

/** Where a record by hand was faster than it may be, in the order of time. */
export function tooFast(log: readonly LoadAt[], plan: RatePlan): Rise[] {
  return risesOf(log, plan).filter(({ part, rate }) => rate.greaterThan(plan[part]));
}

/** The fastest stretch of each part. */
export function fastestOf(rises: readonly Rise[]): Rise[] {
  return (['first', 'second'] as const).flatMap((part) => {
    const own = rises.filter((each) => each.part === part);
    return own.length > 0 ? [own.reduce((a, b) => (b.rate.greaterThan(a.rate) ? b : a))] : [];
  });
}

/**
 * How fast the record of a recorder rose at its steepest in each part: the slope of a line through the readings of some
 * seconds, each part by its own readings alone, up to the design load.
 * @param log in the order of time, many readings a second
 * Source: our choice of the seconds.
 */
export function streamedRises(
  log: readonly LoadAt[],
  plan: RatePlan,
  limits: Limits,
  system: System,
): Rise[] {
  const over = limits.number('teb.window', system).toNumber();
  const all = log.map(({ seconds, load }) => ({ x: seconds.toNumber(), y: load.toNumber() }));
  // As far as it was loaded: what it does while it is held or let down is no rate of loading.
  const upTo = (load: Exact, points: typeof all): number => {
    const reached = points.findIndex(({ y }) => y >= load.toNumber());
    return reached < 0 ? points.length : reached + 1;
  };
  const loading = all.slice(0, upTo(plan.design, all));
  const split = Math.min(loading.length, upTo(plan.turn, loading) - 1);
  const at = (place: number): number => loading[place]?.x ?? 0;
  const parts = [
    ['first', 0, split],
    ['second', split, loading.length],
  ] as const;
  return parts.flatMap(([part, begin, end]): Rise[] => {
    const rises: Rise[] = [];
    let first: number = begin;
    for (let last: number = begin; last < end; last += 1) {
      while (at(last) - at(first) > over) first += 1;
      // A window that is cut short tells nothing of some seconds, unless the whole part is.
      if (at(last) - at(first) < WHOLE * over && last < end - 1) continue;
      const slope = fitLine(loading.slice(first, last + 1))?.slope ?? 0;
      const [from, to] = [log[first], log[last]];
      if (slope > 0 && from && to)
        rises.push({ part, from, to, rate: exact(slope * 60).toSignificantDigits(6) });
    }
    return fastestOf(rises);
  });
}

/** Share of the window that has to be there. */
const WHOLE = 0.8;
