import { vapour } from './air';

/** A humidity in a slab with the temperature there: without it the number says nothing of another day. */
export interface SlabReading {
  /** Percent, of the air in the hole. */
  readonly humidity: number;
  readonly celsius: number;
}

/**
 * How much the humidity in concrete rises with its temperature while its water stays, percent for 1 °C.
 * @param humidity percent, 0 to 100
 * Source: hygrothermic coefficient of mature concrete, about 1970 (from memory): 0.0135 h (1 - h) / (1.25 - h).
 */
export function slope(humidity: number): number {
  const h = humidity / 100;
  return (100 * (0.0135 * h * (1 - h))) / (1.25 - h);
}

export interface Change {
  /** What the first reading would be at the second temperature, its water unchanged. */
  readonly expected: number;
  /** What is left of the change: more than that, or less. */
  readonly rest: number;
  readonly says: 'no change shown' | 'wetter' | 'drier';
  /** Vapour pressures, hPa, and the change in percent. */
  readonly before: number;
  readonly after: number;
  readonly pressure: number;
}

/**
 * What became of the water between two readings of one hole.
 * @param band how far apart two readings of the same water may lie, percent of humidity
 * Source: our choice: expected by the slope at the first reading, told apart beyond the band.
 */
export function changeOf(first: SlabReading, second: SlabReading, band: number): Change {
  const expected = first.humidity + slope(first.humidity) * (second.celsius - first.celsius);
  const rest = second.humidity - expected;
  const before = vapour(first.celsius, first.humidity);
  const after = vapour(second.celsius, second.humidity);
  return {
    expected,
    rest,
    says: Math.abs(rest) <= band + 1e-9 ? 'no change shown' : rest > 0 ? 'wetter' : 'drier',
    before,
    after,
    pressure: before > 0 ? 100 * (after / before - 1) : 0,
  };
}
