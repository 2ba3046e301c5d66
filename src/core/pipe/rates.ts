import type { Limits } from '../limits';
import { Exact, type System } from '../quantity';

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
