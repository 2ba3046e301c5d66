import { apart, areaOf, contains, fromEdge, type Outline, type Spot, sidesOf } from './geometry';
import type { Corridor, Flag, PlanRules, PlanZone } from './plan';

/** A place that is proposed, and why there. */
export interface Proposal {
  readonly at: Spot;
  readonly why: string;
}

/** How fine places are looked at, m, and how many at the most. Our choice. */
const GRID = 0.3;
const MOST = 12_000;
/** How far from its wall a point by a wall is proposed, m: between a foot and three. */
const FROM_WALL = 0.6;

/**
 * Places for so many points in a zone: one at each flag, one by each exterior wall, the others as far from one another and from the edge as
 * they can be; none in a corridor, none on another.
 * @param count how many are wanted @param taken points that are there already
 * @returns as many as find room, those at flags first, then those by walls
 * Source: one by each exterior wall, ASTM F2170 (from memory); the spread is our choice.
 */
export function proposePoints(
  { outline, walls }: Pick<PlanZone, 'outline' | 'walls'>,
  count: number,
  {
    corridors,
    flags = [],
    taken,
    rules,
  }: {
    corridors: readonly Corridor[];
    flags?: readonly Flag[] | undefined;
    taken: readonly Spot[];
    rules: PlanRules;
  },
): readonly Proposal[] {
  const free = (at: Spot): boolean =>
    contains(outline, at) && !corridors.some((each) => contains(each.outline, at));
  const chosen: Spot[] = [...taken];
  const found: Proposal[] = [];
  const take = (at: Spot, why: string): void => {
    chosen.push(at);
    found.push({ at, why });
  };
  const clear = (at: Spot): boolean => free(at) && chosen.every((each) => apart(each, at) >= rules.point);
  for (const { what, at } of flags) {
    if (found.length >= count || !contains(outline, at)) continue;
    if (chosen.some((each) => apart(each, at) <= rules.flag)) continue;
    // Where the flag itself lies over something, the nearest place beside it.
    const near = clear(at)
      ? at
      : gridIn(outline)
          .filter(clear)
          .toSorted((a, b) => apart(a, at) - apart(b, at))[0];
    if (near && apart(near, at) <= rules.flag) take(near, what);
  }
  const sides = sidesOf(outline);
  for (const wall of walls) {
    const side = sides[wall];
    if (!side || found.length >= count) continue;
    if (taken.some((at) => contains(outline, at) && nearWall(side, at, rules.wall))) continue;
    const at = byWall(side, outline).find(clear);
    if (at) take(at, 'by an exterior wall');
  }
  if (found.length >= count) return found;
  // How far each place is from all that was chosen so far, kept as it goes: a place by the edge counts as near.
  const grid = gridIn(outline)
    .filter(free)
    .map((at) => ({
      at,
      least: chosen.reduce((least, each) => Math.min(least, apart(each, at)), 2 * fromEdge(outline, at)),
    }));
  while (found.length < count) {
    let best: (typeof grid)[number] | undefined;
    for (const each of grid) if (each.least > (best?.least ?? rules.point)) best = each;
    if (!best) break;
    const { at } = best;
    take(at, chosen.length === 0 ? 'in the middle' : 'farthest from the others');
    for (const each of grid) each.least = Math.min(each.least, apart(at, each.at));
  }
  return found;
}

/** True where a spot lies within a distance of a wall, beside it and not only beside its ends. */
export function nearWall([a, b]: readonly [Spot, Spot], spot: Spot, most: number): boolean {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = Math.hypot(dx, dy);
  if (long === 0) return false;
  const along = ((spot.x - a.x) * dx + (spot.y - a.y) * dy) / long;
  const away = Math.abs((spot.x - a.x) * dy - (spot.y - a.y) * dx) / long;
  return along >= -most && along <= long + most && away <= most + 1e-9;
}

/** Places along a wall, its middle first, on the inner side. */
function byWall([a, b]: readonly [Spot, Spot], outline: Outline): readonly Spot[] {
  const long = apart(a, b);
  const [nx, ny] = [-(b.y - a.y) / (long || 1), (b.x - a.x) / (long || 1)];
  return [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.1, 0.9].flatMap((share) =>
    [FROM_WALL, -FROM_WALL]
      .map((off) => ({
        x: a.x + share * (b.x - a.x) + off * nx,
        y: a.y + share * (b.y - a.y) + off * ny,
      }))
      .filter((at) => contains(outline, at)),
  );
}

function gridIn(outline: Outline): readonly Spot[] {
  const step = Math.max(GRID, Math.sqrt(areaOf(outline) / MOST));
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)];
  const spots: Spot[] = [];
  for (let y = Math.min(...ys) + step / 2; y < Math.max(...ys); y += step)
    for (let x = Math.min(...xs) + step / 2; x < Math.max(...xs); x += step)
      if (contains(outline, { x, y })) spots.push({ x, y });
  return spots;
}
