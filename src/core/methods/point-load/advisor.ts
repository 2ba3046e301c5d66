import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, largest, meanOf, PI, type System, smallest } from '../../quantity';
import { LENGTH_UNIT } from '../press';

/** A size of a piece, at one place or at both of its ends where the sides are not parallel; in or mm. */
export type Size = readonly [Exact] | readonly [Exact, Exact];

/** One way to lay a piece between the points; lengths in in or mm. */
export interface Orientation {
  /** Which of the three sizes lies between the points: 0, 1 or 2. */
  readonly between: number;
  readonly depth: Exact;
  /** The smaller of the two others: of one that is not parallel the mean, as the section through the points has it. */
  readonly width: Exact;
  /** The same as it is measured: once, or near the upper and near the lower point. */
  readonly widths: Size;
  /** From the middle to the nearest end along the larger one. */
  readonly freeEnd: Exact;
  readonly ratio: Exact;
  /** Equivalent core diameter. */
  readonly diameter: Exact;
  readonly lawful: boolean;
  /** What is wrong with it, and what would mend it; empty where it is lawful. */
  readonly problems: readonly string[];
}

/**
 * The three ways to lay a piece of rock between the points, the best first: lawful ones before others, then by how near
 * depth and width are to one another, then by how near the equivalent diameter is to 50 mm.
 * @param sizes three sizes at right angles, each once or at both ends, in the unit of the system
 * @returns none while a size is not above zero
 * Source: shape rules of ASTM D5731 and ISRM 1985 (from memory); the order is our choice.
 */
export function orientations(
  sizes: readonly [Size, Size, Size],
  system: System,
  limits: Limits,
): Orientation[] {
  if (sizes.flat().some((size) => !size.greaterThan(0))) return [];
  const wanted = limits.number('point.size', system);
  const all = sizes.map((depth, between) => {
    const [narrow, long] = sizes
      .filter((_, place) => place !== between)
      .toSorted((a, b) => meanOf(a).comparedTo(meanOf(b)));
    return orientation(between, depth, narrow ?? depth, meanOf(long ?? depth).div(2), system, limits);
  });
  const away = ({ ratio }: Orientation): Exact => ratio.ln().abs();
  return all.toSorted(
    (a, b) =>
      Number(b.lawful) - Number(a.lawful) ||
      away(a).comparedTo(away(b)) ||
      a.diameter.minus(wanted).abs().comparedTo(b.diameter.minus(wanted).abs()),
  );
}

/** A top that slopes by more than so many times what the depth is read to lets the points slip: our choice. */
const SLOPES = 10;

function orientation(
  between: number,
  depths: Size,
  widths: Size,
  freeEnd: Exact,
  system: System,
  limits: Limits,
): Orientation {
  const unit = LENGTH_UNIT[system];
  const [depth, width] = [meanOf(depths), meanOf(widths)];
  const place = system === 'US' ? 2 : 1;
  const show = (value: Exact): string => `${value.toDecimalPlaces(place)} ${unit}`;
  const ratio = depth.div(width);
  const shape = limits.of('point.depth-width', system);
  const problems: string[] = [];
  for (const [what, value, id] of [
    ['depth', depth, 'point.depth'],
    ['width', width, 'point.width'],
  ] as const) {
    const limit = limits.of(id, system);
    if (isWithin(value, limit)) continue;
    const small = value.lessThan(limit.low ?? 0);
    problems.push(
      small
        ? `the ${what} is ${show((limit.low ?? value).minus(value))} too small`
        : `saw ${show(value.minus(limit.high ?? value))} off the ${what}`,
    );
  }
  if (shape.high && ratio.greaterThan(shape.high))
    problems.push(`too tall: take ${show(depth.minus(width.times(shape.high)))} off the depth, or turn it`);
  if (shape.low && ratio.lessThan(shape.low))
    problems.push(`too flat: saw the width down to ${show(depth.div(shape.low))}`);
  const agree = limits.of('point.agree', system).high ?? exact(0);
  const slope = largest(depths).minus(smallest(depths)).div(depth).times(100);
  if (slope.greaterThan(agree.times(SLOPES)))
    problems.push(
      `its top slopes by ${show(largest(depths).minus(smallest(depths)))}: saw a flat for the points`,
    );
  const least = depth.times(limits.of('point.free-end', system).low ?? 0);
  if (freeEnd.lessThan(least)) problems.push('too short: not half its depth to either end');
  return {
    between,
    depth,
    width,
    widths,
    freeEnd,
    ratio,
    diameter: exact(4).times(depth).times(width).div(PI).sqrt(),
    lawful: problems.length === 0,
    problems,
  };
}
