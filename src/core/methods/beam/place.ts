import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';

/** Where a beam broke: where the moment is whole, near it, or so far out that it is no test. */
export type BreakPlace = 'inside' | 'outside' | 'beyond';

/** How far from the nearer support a break may be; in or mm. */
export interface PlaceLimits {
  readonly inside: Exact;
  readonly least: Exact;
}

/**
 * From where on a break of a beam loaded at the third points is inside, and below which it is discarded.
 * @param span in or mm
 * @param depth as tested: IS has a table for the beams of 150 and of 100 mm
 * Source: ASTM C78/C78M 9 (from memory): a third of the span, 5 % of the span less; IS 516 (from memory): 200 and 170 mm,
 * 133 and 110 mm. EN 12390-5 has no such formula: outside the rollers is said, see `whatOf`.
 */
export function placeLimits(span: Exact, depth: Exact, limits: Limits, system: System): PlaceLimits {
  if (limits.profile === 'is') {
    const large = depth.greaterThanOrEqualTo(limits.number('is/beam.large', system));
    return large
      ? {
          inside: limits.number('is/beam.inside-150', system),
          least: limits.number('is/beam.least-150', system),
        }
      : {
          inside: limits.number('is/beam.inside-100', system),
          least: limits.number('is/beam.least-100', system),
        };
  }
  const share = limits.number('beam.outside', system).div(100);
  return { inside: span.div(3), least: span.div(3).minus(span.times(share)) };
}

/** Where a break lies. A break just at a limit is the better of the two. */
export function placeOf(a: Exact, { inside, least }: PlaceLimits): BreakPlace {
  if (a.greaterThanOrEqualTo(inside)) return 'inside';
  return a.greaterThanOrEqualTo(least) ? 'outside' : 'beyond';
}
