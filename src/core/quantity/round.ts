import { type Exact, exact } from './exact';

/** Half to even is ASTM E29's rule and the default; half up (away from zero) is used by some agencies. */
export type RoundingMode = 'half-even' | 'half-up';

/**
 * Rounds to the nearest multiple of a step, once, from the unrounded value.
 * @param value the unrounded value
 * @param step the place retained, in the same unit: 10 (psi), 0.25 (in), 0.01 …; greater than zero
 * @param mode what an exact tie does
 * @returns the rounded value
 * @throws RangeError when the step is not greater than zero
 * Source: ASTM E29 §6 (from memory): q = x / step, q rounded half to even, times step.
 */
export function roundTo(value: Exact, step: Exact | string, mode: RoundingMode = 'half-even'): Exact {
  const place = exact(step);
  if (!place.greaterThan(0))
    throw new RangeError(`the rounding step must be greater than zero, not ${place}`);
  const quotient = value.div(place);
  const roundingCode = mode === 'half-even' ? 6 : 4;
  return quotient.toDecimalPlaces(0, roundingCode).times(place);
}

/** Number of decimals that a step shows: 10 → 0, 0.25 → 2, 0.1 → 1. */
export function decimalsOf(step: Exact | string): number {
  return exact(step).decimalPlaces();
}

/** Text of a value rounded to a step, with thousands separators and the trailing zeros the step implies. */
export function roundedText(value: Exact, step: Exact | string, mode: RoundingMode = 'half-even'): string {
  return withThousands(roundTo(value, step, mode).toFixed(decimalsOf(step)));
}

/** Puts thousands separators into plain decimal text. */
export function withThousands(plain: string): string {
  const [whole = '', fraction] = plain.split('.');
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, ',');
  return fraction === undefined ? grouped : `${grouped}.${fraction}`;
}
