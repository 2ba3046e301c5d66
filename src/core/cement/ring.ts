/** A place on the face of a ring, mm from its middle. */
export interface Hole {
  readonly x: number;
  readonly y: number;
}

/** Where holes may be: how far from one another and from the ring, and how wide the ring is to its middle, mm. */
export interface RingRule {
  readonly space: number;
  readonly wall: number;
  readonly radius: number;
}

/** As near as a place is told by a finger or a ruler. */
const NEAR = 1e-6;

/** What is wrong with a hole beside those that were made before it; undefined where nothing is. */
export function holeProblem(
  hole: Hole,
  before: readonly Hole[],
  { space, wall, radius }: RingRule,
): 'too near the ring' | 'too near a hole' | undefined {
  if (Math.hypot(hole.x, hole.y) > radius - wall + NEAR) return 'too near the ring';
  return before.some(({ x, y }) => Math.hypot(hole.x - x, hole.y - y) < space - NEAR)
    ? 'too near a hole'
    : undefined;
}

/**
 * Every place of a ring, packed as close as it may be, from its middle outward.
 * @returns places in mm from the middle
 * Source: hexagonal packing; that it begins in the middle is our choice.
 */
export function placesOf({ space, wall, radius }: RingRule): Hole[] {
  const most = radius - wall;
  const rows = Math.ceil(most / space) + 1;
  const found: Hole[] = [];
  for (let i = -2 * rows; i <= 2 * rows; i += 1)
    for (let j = -2 * rows; j <= 2 * rows; j += 1) {
      const hole = { x: (i + j / 2) * space, y: (j * Math.sqrt(3) * space) / 2 };
      if (Math.hypot(hole.x, hole.y) <= most + NEAR) found.push(hole);
    }
  const rounded = (value: number): number => Number(value.toFixed(2)) + 0;
  return found
    .toSorted(
      (a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y) || Math.atan2(a.y, a.x) - Math.atan2(b.y, b.x),
    )
    .map(({ x, y }) => ({ x: rounded(x), y: rounded(y) }));
}

/** The next place that is free, from the middle outward; undefined where the ring is full. */
export function nextPlace(before: readonly Hole[], rule: RingRule): Hole | undefined {
  // Places are told to a hundredth of a mm, and must not fail by what that takes off.
  const eased = { ...rule, space: rule.space - 0.01, wall: rule.wall - 0.01 };
  return placesOf(rule).find((place) => holeProblem(place, before, eased) === undefined);
}
