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
 * Source: ASTM C497 (from memory): no more than 7,500 lbf a foot and minute to 75 % of it, then no more than a third of it a
 *   minute. That the second is never faster than the first is our choice.
 */
export function ratePlan(design: Exact, length: Exact, limits: Limits, system: System): RatePlan {
  const first = limits.number('teb.first-rate', system).times(length);
  const third = design.div(limits.number('teb.second-rate', system));
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

/** A part of a record that was loaded faster than it may be. */
export interface TooFast {
  readonly part: 'first' | 'second';
  readonly from: LoadAt;
  readonly to: LoadAt;
  readonly rate: Exact;
}

/**
 * Where a record by hand was too fast. A part that reaches into both has one rate, which is held in each.
 * @param log in the order of time
 * @returns the first part of each that was; a load that falls is never too fast
 * Source: ASTM C497 (from memory); that an end that only touches counts for nothing is our choice.
 */
export function tooFast(log: readonly LoadAt[], plan: RatePlan): TooFast[] {
  return log.slice(1).flatMap((to, place): TooFast[] => {
    const from = log[place] ?? to;
    const seconds = to.seconds.minus(from.seconds);
    if (!seconds.greaterThan(0)) return [];
    const rate = to.load.minus(from.load).div(seconds).times(60);
    const [low, high] = [Exact.min(from.load, to.load), Exact.max(from.load, to.load)];
    const parts = [
      ['first', low.lessThan(plan.turn), plan.first],
      ['second', high.greaterThan(plan.turn) && low.lessThan(plan.design), plan.second],
    ] as const;
    return parts.flatMap(([part, inside, most]) =>
      inside && rate.greaterThan(most) ? [{ part, from, to, rate }] : [],
    );
  });
}

/**
 * Where a record of a recorder was too fast: the slope of a line through the readings of some seconds, held with an
 * allowance, in each part by its own readings alone.
 * @param log in the order of time, many readings a second
 * @returns the steepest of each part that was too fast
 * Source: our choice of the seconds and the allowance.
 */
export function streamedTooFast(
  log: readonly LoadAt[],
  plan: RatePlan,
  limits: Limits,
  system: System,
): TooFast[] {
  const over = limits.number('teb.window', system).toNumber();
  const allowed = limits.number('teb.allowance', system).div(100).plus(1);
  const all = log.map(({ seconds, load }) => [seconds.toNumber(), load.toNumber()] as const);
  const [turn, design] = [plan.turn.toNumber(), plan.design.toNumber()];
  // As far as it was loaded: what it does while it is held or let down is no rate of loading.
  const reached = all.findIndex(([, load]) => load >= design);
  const loading = reached < 0 ? all : all.slice(0, reached + 1);
  const turned = loading.findIndex(([, load]) => load >= turn);
  const split = turned < 0 ? loading.length : turned;
  const parts = [
    ['first', 0, split, plan.first],
    ['second', split, loading.length, plan.second],
  ] as const;
  return parts.flatMap(([part, begin, end, most]): TooFast[] => {
    let worst: { from: number; to: number; rate: number } | null = null;
    let from: number = begin;
    for (let to: number = begin; to < end; to += 1) {
      while ((loading[to]?.[0] ?? 0) - (loading[from]?.[0] ?? 0) > over) from += 1;
      // A window that is cut short tells nothing of some seconds, unless the whole part is.
      if ((loading[to]?.[0] ?? 0) - (loading[from]?.[0] ?? 0) < 0.8 * over && to < end - 1) continue;
      const rate = (fitLine(loading.slice(from, to + 1).map(([x, y]) => ({ x, y })))?.slope ?? 0) * 60;
      if (!worst || rate > worst.rate) worst = { from, to, rate };
    }
    const [a, b] = [worst && log[worst.from], worst && log[worst.to]];
    if (!worst || !a || !b || exact(worst.rate).lessThanOrEqualTo(most.times(allowed))) return [];
    return [{ part, from: a, to: b, rate: exact(worst.rate).toSignificantDigits(6) }];
  });
}
