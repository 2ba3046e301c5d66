/** Seconds and load. */
export type CurvePoint = readonly [seconds: number, load: number];

/**
 * A curve thinned to what can be drawn: the lowest and the highest of every stretch, so that its peak and its dips
 * still show.
 * @param shown most points wanted
 */
export function thinned(seconds: Float64Array, load: Float64Array, shown: number): CurvePoint[] {
  const stretch = Math.max(1, Math.ceil((seconds.length * 2) / shown));
  const points: CurvePoint[] = [];
  for (let from = 0; from < seconds.length; from += stretch) {
    let [low, high] = [from, from];
    for (let index = from; index < Math.min(from + stretch, seconds.length); index += 1) {
      if ((load[index] ?? 0) < (load[low] ?? 0)) low = index;
      if ((load[index] ?? 0) > (load[high] ?? 0)) high = index;
    }
    for (const index of [...new Set([low, high])].sort((a, b) => a - b))
      points.push([seconds[index] ?? 0, load[index] ?? 0]);
  }
  return points;
}
