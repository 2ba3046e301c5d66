import { largestAt } from './clean';
import { lineThrough } from './line';

/** Our choices: the foot of the first part is left out, and a part needs so many rows. */
const FOOT = 0.05;
const FEWEST = 5;

/**
 * How fast a specimen was driven in each part of its displacement, by least squares over its rows.
 * @param seconds of each row; @param displacement mm, the toe cut off
 * @param edges where one part ends and the next begins, mm, rising; there is one part more than edges
 * @returns mm/min of each part; null where a part has too few rows. What the machine stood at its end does not count.
 * Source: our algorithm.
 */
export function speedsOf(
  seconds: Float64Array,
  displacement: Float64Array,
  edges: readonly number[],
): readonly (number | null)[] {
  const end = largestAt(displacement);
  const reach = displacement[end] ?? 0;
  const starts = [FOOT * (edges[0] ?? reach), ...edges];
  const ends = [...edges, reach];
  const place = (from: number, at: number): number => {
    let index = from;
    while (index <= end && (displacement[index] ?? 0) < at) index += 1;
    return index;
  };
  let first = 0;
  return starts.map((start, part) => {
    first = place(first, start);
    const last = Math.min(end, place(first, ends[part] ?? reach));
    if (last - first < FEWEST) return null;
    const line = lineThrough({ displacement: seconds, force: displacement }, first, last);
    return line && line.k > 0 ? 60 * line.k : null;
  });
}
