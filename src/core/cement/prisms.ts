import { type Exact, exact, meanOf } from '../quantity';

/** What the halves of a set come to. */
export type HalvesSay =
  | {
      readonly kind: 'mean';
      readonly mean: Exact;
      readonly used: readonly number[];
      readonly out: number | undefined;
    }
  /** Too many lie off: the whole set is thrown away. */
  | { readonly kind: 'discarded'; readonly off: readonly number[] };

/** The places of those that lie further off their mean than allowed. */
function offMean(values: readonly Exact[], places: readonly number[], most: Exact): number[] {
  const own = places.map((place) => values[place] ?? exact(0));
  const mean = meanOf(own);
  return places.filter((_, index) => {
    const value = own[index] ?? mean;
    return value.minus(mean).abs().div(mean).times(100).greaterThan(most);
  });
}

/**
 * The mean of the halves of prisms, one left out where it lies too far off.
 * @param values MPa @param most percent of the mean that one may lie off; so much itself is inside
 * Source: EN 196-1 (from memory): one of six beyond ten percent is left out, one more of the five throws the set away; that two
 *   at once do so too is our reading.
 */
export function halvesSay(values: readonly Exact[], most: Exact): HalvesSay {
  const all = values.map((_, place) => place);
  const off = offMean(values, all, most);
  if (off.length === 0) return { kind: 'mean', mean: meanOf(values), used: all, out: undefined };
  const [out] = off;
  if (out === undefined || off.length > 1) return { kind: 'discarded', off };
  const used = all.filter((place) => place !== out);
  const more = offMean(values, used, most);
  if (more.length > 0) return { kind: 'discarded', off: [out, ...more] };
  return { kind: 'mean', mean: meanOf(used.map((place) => values[place] ?? exact(0))), used, out };
}
