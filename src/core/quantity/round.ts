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
  const { place, digit } = placeOf(step);
  if (!place.greaterThan(0))
    throw new RangeError(`the rounding step must be greater than zero, not ${place}`);
  const roundingCode = mode === 'half-even' ? 6 : 4;
  // A step of 0.1 or 10 is a digit of the value itself: nothing has to be divided.
  if (digit && place.e <= 0) return value.toDecimalPlaces(-place.e, roundingCode);
  if (digit && value.e >= place.e && !value.isZero())
    return value.toSignificantDigits(value.e - place.e + 1, roundingCode);
  return value.div(place).toDecimalPlaces(0, roundingCode).times(place);
}

/** What a step is, worked out once for each. */
interface Place {
  readonly place: Exact;
  /** Whether it is a power of ten. */
  readonly digit: boolean;
  readonly decimals: number;
}
const places = new WeakMap<Exact, Place>();

function placeOf(step: Exact | string): Place {
  const place = exact(step);
  const before = places.get(place);
  if (before) return before;
  const made = { place, digit: place.equals(exact(10).pow(place.e)), decimals: place.decimalPlaces() };
  places.set(place, made);
  return made;
}

/** Number of decimals that a step shows: 10 → 0, 0.25 → 2, 0.1 → 1. */
export function decimalsOf(step: Exact | string): number {
  return placeOf(step).decimals;
}

/** Text of a value rounded to a step, with thousands separators and the trailing zeros the step implies. */
export function roundedText(value: Exact, step: Exact | string, mode: RoundingMode = 'half-even'): string {
  return withThousands(roundTo(value, step, mode).toFixed(decimalsOf(step)));
}

/** Puts thousands separators into plain decimal text. */
export function withThousands(plain: string): string {
  const point = plain.indexOf('.');
  const whole = point < 0 ? plain : plain.slice(0, point);
  if (whole.length < 4) return plain;
  return whole.replace(/\B(?=(\d{3})+(?!\d))/g, ',') + plain.slice(whole.length);
}
