import type { Exact } from '../quantity';

/** Constants by the least number of results. Source: EN 197-1, statistical evaluation of the lower limit (from memory). */
const CONSTANTS: readonly (readonly [from: number, constant: string])[] = [
  [20, '2.40'],
  [22, '2.35'],
  [24, '2.31'],
  [26, '2.27'],
  [28, '2.24'],
  [30, '2.22'],
  [35, '2.17'],
  [40, '2.13'],
  [45, '2.09'],
  [50, '2.07'],
  [60, '2.02'],
  [70, '1.99'],
  [80, '1.97'],
  [90, '1.94'],
  [100, '1.93'],
  [150, '1.87'],
  [200, '1.84'],
  [300, '1.80'],
  [400, '1.78'],
];

/**
 * What a source stays above nineteen times in twenty, as its results tell it: x̄ − k_A·s.
 * @param count of results @param mean, deviation of them
 * @returns the constant and the value, in the unit of the results; undefined for fewer than twenty
 * Source: EN 197-1 (from memory).
 */
export function acceptable(
  count: number,
  mean: Exact,
  deviation: Exact,
): { readonly constant: string; readonly value: Exact } | undefined {
  const constant = CONSTANTS.findLast(([from]) => count >= from)?.[1];
  return constant === undefined ? undefined : { constant, value: mean.minus(deviation.times(constant)) };
}
