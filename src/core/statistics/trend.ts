/**
 * Least-squares line through points.
 * @param points at least three, not all at one place
 * @returns value of the line at a place; undefined when there is no line
 */
export function trendAt(
  points: readonly { readonly x: number; readonly y: number }[],
  x: number,
): number | undefined {
  if (points.length < 3) return undefined;
  const mean = (of: (point: { x: number; y: number }) => number): number =>
    points.reduce((sum, point) => sum + of(point), 0) / points.length;
  const [mx, my] = [mean((point) => point.x), mean((point) => point.y)];
  const spread = points.reduce((sum, point) => sum + (point.x - mx) ** 2, 0);
  if (spread === 0) return undefined;
  const slope = points.reduce((sum, point) => sum + (point.x - mx) * (point.y - my), 0) / spread;
  return my + slope * (x - mx);
}
