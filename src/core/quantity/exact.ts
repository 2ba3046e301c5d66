import { Decimal } from 'decimal.js';
import { remembered } from './memo';

/**
 * Exact decimal arithmetic, 40 significant digits. Readings and every intermediate value of a calculation
 * are held in it, so that a rounding decision is never taken on binary noise (4.005 stays 4.005).
 */
export const Exact = Decimal.clone({ precision: 40, rounding: Decimal.ROUND_HALF_EVEN });
export type Exact = Decimal;

/** π to the working precision. */
export const PI: Exact = Exact.acos(-1);

/** Makes an exact number from decimal text or another exact number; a `number` must be an integer or literal. */
export function exact(value: string | number | Exact): Exact {
  if (typeof value === 'object') return value;
  return typeof value === 'string' && value.length <= 12 ? fromText(value) : new Exact(value);
}

/** Factors, steps and readings come again and again as the same few short texts. */
const fromText = remembered(
  2000,
  (text: string) => text,
  (text) => new Exact(text),
);

/**
 * Area of a circle, unrounded.
 * @param diameter in any unit of length; the area is in its square
 */
export function circleArea(diameter: Exact): Exact {
  return diameter.times(diameter).times(PI).div(4);
}

/**
 * Arithmetic mean.
 * @param values at least one exact number, all in one unit
 * @returns the mean in the same unit, unrounded
 * @throws RangeError when `values` is empty: a mean of nothing is a programming error, not a reading
 */
export function meanOf(values: readonly Exact[]): Exact {
  if (values.length === 0) throw new RangeError('meanOf needs at least one value');
  return values.reduce((sum, value) => sum.plus(value), exact(0)).div(values.length);
}

/** Largest of the values. @throws RangeError when empty */
export function largest(values: readonly Exact[]): Exact {
  if (values.length === 0) throw new RangeError('largest needs at least one value');
  return Exact.max(...values);
}

/** Smallest of the values. @throws RangeError when empty */
export function smallest(values: readonly Exact[]): Exact {
  if (values.length === 0) throw new RangeError('smallest needs at least one value');
  return Exact.min(...values);
}
