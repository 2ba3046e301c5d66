import { fitLine, type Point } from './line';

/**
 * Least-squares line through points.
 * @param points at least three, not all at one place
 * @returns value of the line at a place; undefined when there is no line
 */
export function trendAt(points: readonly Point[], x: number): number | undefined {
  const line = points.length < 3 ? undefined : fitLine(points);
  return line && line.mean.y + line.slope * (x - line.mean.x);
}
