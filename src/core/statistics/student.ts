import library from 'jstat';

/**
 * Student's t that a share of the distribution lies below.
 * @param share 0 to 1, ends excluded: 0.975 for a two-sided interval of 95 %
 * @param freedom degrees of freedom, at least 1
 * @throws RangeError outside of these
 */
export function studentT(share: number, freedom: number): number {
  if (!(share > 0 && share < 1 && freedom >= 1))
    throw new RangeError('a share of 0 to 1, freedom of 1 or more');
  return library.jStat.studentt.inv(share, freedom);
}

/**
 * Share of Student's distribution that lies below a value.
 * @param freedom degrees of freedom, at least 1
 * @throws RangeError for fewer
 */
export function shareBelowT(value: number, freedom: number): number {
  if (!(freedom >= 1)) throw new RangeError('freedom of 1 or more');
  return library.jStat.studentt.cdf(value, freedom);
}
