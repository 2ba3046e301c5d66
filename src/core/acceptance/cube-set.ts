import type { Limits } from '../limits';
import { exact, largest, meanOf, type RoundingMode, roundedText, type System, smallest } from '../quantity';
import { rangePercent } from '../statistics';

/** What the cubes of one sample say together. */
export interface CubeSet {
  readonly rule: 'EN 206' | 'IS 456';
  readonly valid: boolean;
  /** Reported mean of the unrounded strengths; null while the set is disregarded. */
  readonly text: string | null;
  readonly sentence: string;
}

/**
 * The result of the cubes of one sample, by the rule of the school.
 * @param strengths unrounded, at least two (EN) or three (IS)
 * @returns undefined for fewer
 * Source: EN 206: a range above 15 % of the mean disregards the set unless a reason to drop one is found; IS 456 15.4:
 * each within ±15 % of the mean (both from memory).
 */
export function cubeSet(
  strengths: readonly string[],
  system: System,
  limits: Limits,
  mode: RoundingMode = 'half-even',
): CubeSet | undefined {
  const values = strengths.map((value) => exact(value));
  const is = limits.profile === 'is';
  const least = is ? limits.number('cube.count', system).toNumber() : 2;
  if (values.length < least) return undefined;
  const mean = meanOf(values);
  const step = limits.number('cube.step', system);
  const text = roundedText(mean, step, mode);
  const rule = is ? 'IS 456' : 'EN 206';
  if (is) {
    const most = limits.number('cube.set-each', system);
    const off = [largest(values), smallest(values)].map((value) =>
      value.minus(mean).abs().div(mean).times(100),
    );
    const worst = largest(off);
    const valid = worst.lessThanOrEqualTo(most);
    return {
      rule,
      valid,
      text: valid ? text : null,
      sentence: `The farthest lies ${worst.toFixed(1)} % from the mean; ${most} % is allowed. ${valid ? 'The set is valid.' : 'The set is invalid.'}`,
    };
  }
  const range = rangePercent(values) ?? exact(0);
  const most = limits.number('cube.set-range', system);
  const valid = range.lessThanOrEqualTo(most);
  return {
    rule,
    valid,
    text: valid ? text : null,
    sentence: `Range ${range.toFixed(1)} % of the mean; ${most} % is allowed. ${valid ? 'The set is valid.' : 'Disregard the set, unless an investigation finds a reason to drop one.'}`,
  };
}
