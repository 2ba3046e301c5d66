import type { Limits } from '../../limits';
import { type Exact, roundTo } from '../../quantity';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import type { CoreCompressionInput } from './input';

/** Two diameters of a core: how far they differ decides how finely the mean is taken. */
export interface CoreDiameter {
  readonly one: Exact;
  readonly two: Exact;
  /** Percent of their mean. */
  readonly spread: Exact;
  readonly fine: boolean;
  readonly mean: Exact;
}

/** The diameter of a core as the method takes it; undefined while one is missing. */
export function coreDiameter(
  input: CoreCompressionInput,
  setup: RunSetup,
  limits: Limits,
): CoreDiameter | undefined {
  const [one, two] = [readMeasure(input, 'diameter1')?.value, readMeasure(input, 'diameter2')?.value];
  if (!one || !two) return undefined;
  const middle = one.plus(two).div(2);
  const spread = one.minus(two).abs().div(middle).times(100);
  const fine = spread.lessThanOrEqualTo(limits.number('core.spread-fine', input.system));
  const step = limits.number(fine ? 'core.step-fine' : 'core.step-rough', input.system);
  return { one, two, spread, fine, mean: roundTo(middle, step, setup.rounding ?? 'half-even') };
}
