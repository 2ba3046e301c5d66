/** A place on a plan, m from its upper left corner. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** An outline by its corners in their order, either way round; the last goes back to the first. */
export type Outline = readonly Spot[];

/** The sides of an outline, each from one corner to the next. */
export function sidesOf(outline: Outline): readonly (readonly [Spot, Spot])[] {
  return outline.flatMap((from, place) => {
    const to = outline[(place + 1) % outline.length];
    return to ? [[from, to] as const] : [];
  });
}

/** Area within an outline, m²; 0 for fewer than three corners. Source: shoelace formula. */
export function areaOf(outline: Outline): number {
  return Math.abs(sidesOf(outline).reduce((sum, [a, b]) => sum + a.x * b.y - b.x * a.y, 0)) / 2;
}

/** True within an outline. Source: even number of crossings. */
export function contains(outline: Outline, { x, y }: Spot): boolean {
  return sidesOf(outline).reduce(
    (inside, [a, b]) =>
      a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x ? !inside : inside,
    false,
  );
}

export function apart(a: Spot, b: Spot): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

/** The place of a side that is nearest to a spot. */
export function nearestOn([a, b]: readonly [Spot, Spot], spot: Spot): Spot {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = dx * dx + dy * dy;
  const share = long === 0 ? 0 : Math.min(1, Math.max(0, ((spot.x - a.x) * dx + (spot.y - a.y) * dy) / long));
  return { x: a.x + share * dx, y: a.y + share * dy };
}

export function fromSide(side: readonly [Spot, Spot], spot: Spot): number {
  return apart(nearestOn(side, spot), spot);
}

/** How far a spot is from the nearest side of an outline; Infinity for none. */
export function fromEdge(outline: Outline, spot: Spot): number {
  return Math.min(Number.POSITIVE_INFINITY, ...sidesOf(outline).map((side) => fromSide(side, spot)));
}

/**
 * How large a plan is by two places on it that are a known way apart.
 * @param one,other as shares of its width and height, 0 to 1 @param metres between them
 * @param aspect width over height of the picture
 * @returns undefined where the two are one
 */
export function sizeBy(
  one: Spot,
  other: Spot,
  metres: number,
  aspect: number,
): { readonly width: number; readonly height: number } | undefined {
  const share = Math.hypot((one.x - other.x) * aspect, one.y - other.y);
  if (!(share > 1e-6) || !(metres > 0)) return undefined;
  const height = metres / share;
  return { width: height * aspect, height };
}
