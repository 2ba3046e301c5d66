export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface FittedLine {
  readonly intercept: number;
  readonly slope: number;
  /** Sums of squares about the means: of x, of x with y, of y. */
  readonly sums: { readonly xx: number; readonly xy: number; readonly yy: number };
  readonly mean: Point;
  /** Share of the spread in y that the line explains. */
  readonly r2: number;
  /** Standard deviation of the points about the line, n − 2 in the divisor; zero for two points. */
  readonly residual: number;
}

/**
 * Least-squares line through points.
 * @returns undefined for fewer than two points, or where all stand at one x
 */
export function fitLine(points: readonly Point[]): FittedLine | undefined {
  const { length } = points;
  if (length < 2) return undefined;
  const sum = (of: (point: Point) => number): number => points.reduce((all, point) => all + of(point), 0);
  const mean = { x: sum(({ x }) => x) / length, y: sum(({ y }) => y) / length };
  const xx = sum(({ x }) => (x - mean.x) ** 2);
  if (xx === 0) return undefined;
  const xy = sum(({ x, y }) => (x - mean.x) * (y - mean.y));
  const yy = sum(({ y }) => (y - mean.y) ** 2);
  const slope = xy / xx;
  const left = Math.max(0, yy - slope * xy);
  return {
    intercept: mean.y - slope * mean.x,
    slope,
    sums: { xx, xy, yy },
    mean,
    r2: yy === 0 ? 1 : 1 - left / yy,
    residual: length > 2 ? Math.sqrt(left / (length - 2)) : 0,
  };
}
