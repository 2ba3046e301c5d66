import library from 'jstat';

/**
 * Share of the beta distribution that lies below a value: the regularised incomplete beta function.
 * @param x 0 to 1; what lies beyond either end counts as that end
 * @param a shape, above 0
 * @param b shape, above 0
 * @throws RangeError for shapes of 0 or less
 */
export function shareBelowBeta(x: number, a: number, b: number): number {
  if (!(a > 0 && b > 0)) throw new RangeError('shapes above 0');
  return library.jStat.ibeta(Math.min(1, Math.max(0, x)), a, b);
}
