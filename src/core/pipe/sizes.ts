import type { LimitId, Limits } from '../limits';
import { Exact, type System } from '../quantity';

type Row = Extract<LimitId, `pipe.${string}`>;

/**
 * How far the measured inside diameter may lie off the designated one, either way, in or mm.
 * @param bore designated, in or mm
 * Source: ASTM C76 (from memory): 2 % at 12 in falling linearly to 1.5 % at 24 in; above that 1 % or 3/8 in, the greater.
 */
export function boreTolerance(bore: Exact, limits: Limits, system: System): Exact {
  const of = (id: Row): Exact => limits.number(id, system);
  const [small, middle] = [of('pipe.small'), of('pipe.middle')];
  if (bore.greaterThan(middle))
    return Exact.max(bore.times(of('pipe.bore-large')).div(100), of('pipe.bore-large-least'));
  const [most, least] = [of('pipe.bore-small'), of('pipe.bore-middle')];
  const share = bore.lessThanOrEqualTo(small)
    ? most
    : most.minus(most.minus(least).times(bore.minus(small)).div(middle.minus(small)));
  return bore.times(share).div(100);
}

/**
 * How far a wall may be thinner than it is designed, in or mm; thicker is no cause for rejection.
 * Source: ASTM C76 (from memory): 5 % or 3/16 in, the greater.
 */
export function wallTolerance(wall: Exact, limits: Limits, system: System): Exact {
  return Exact.max(
    wall.times(limits.number('pipe.wall', system)).div(100),
    limits.number('pipe.wall-least', system),
  );
}

/** So much for each foot or metre of diameter, in or mm. */
const forFeet = (id: Row, bore: Exact, limits: Limits, system: System): Exact =>
  limits.number(id, system).times(bore.div(system === 'US' ? 12 : 1000));

/**
 * How far the lengths of two opposite sides may differ, in or mm.
 * Source: ASTM C76 (from memory): 1/4 in up to 24 in of diameter; above 1/8 in a foot, at most 5/8 in, from 90 in on 3/4 in.
 */
export function sidesTolerance(bore: Exact, limits: Limits, system: System): Exact {
  if (bore.lessThanOrEqualTo(limits.number('pipe.middle', system)))
    return limits.number('pipe.sides-small', system);
  const large = bore.greaterThanOrEqualTo(limits.number('pipe.large', system));
  return Exact.min(
    forFeet('pipe.sides-foot', bore, limits, system),
    limits.number(large ? 'pipe.sides-most-large' : 'pipe.sides-most', system),
  );
}

/**
 * How much shorter than designed a pipe may be, in or mm.
 * @param overall designed, ft or m
 * Source: ASTM C76 (from memory): 1/8 in for each foot, at most 1/2 in.
 */
export function shortTolerance(overall: Exact, limits: Limits, system: System): Exact {
  return Exact.min(
    limits.number('pipe.short-foot', system).times(overall),
    limits.number('pipe.short-most', system),
  );
}
