/** Seconds and load. */
export type CurvePoint = readonly [seconds: number, load: number];

/** A stretch of a curve: its first place, the one after its last, and those of its lowest and highest in their order. */
interface Stretch {
  readonly from: number;
  readonly end: number;
  readonly places: readonly number[];
}

/**
 * The stretches a curve is thinned by so that it can be drawn: the lowest and the highest of each stand, so that its peak
 * and its dips still show.
 * @param shown most points wanted
 */
export function stretchesOf(values: ArrayLike<number>, shown: number): Stretch[] {
  const stretch = Math.max(1, Math.ceil((values.length * 2) / shown));
  const found: Stretch[] = [];
  for (let from = 0; from < values.length; from += stretch) {
    const end = Math.min(from + stretch, values.length);
    let [low, high] = [from, from];
    for (let index = from; index < end; index += 1) {
      if ((values[index] ?? 0) < (values[low] ?? 0)) low = index;
      if ((values[index] ?? 0) > (values[high] ?? 0)) high = index;
    }
    found.push({ from, end, places: low === high ? [low] : [Math.min(low, high), Math.max(low, high)] });
  }
  return found;
}

/**
 * A load curve thinned to what can be drawn.
 * @param shown most points wanted
 */
export function thinned(seconds: Float64Array, load: Float64Array, shown: number): CurvePoint[] {
  return stretchesOf(load, shown).flatMap(({ places }) =>
    places.map((index) => [seconds[index] ?? 0, load[index] ?? 0] as const),
  );
}
