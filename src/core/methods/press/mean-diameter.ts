import { type Exact, roundTo, type System } from '../../quantity';
import { readMeasure } from '../fields';
import { limitsOf, type RunSetup } from '../setup';

/** The mean of two diameters, rounded as it is read; in or mm. Undefined while one is missing. */
export function meanDiameter(
  input: object & { readonly system: System },
  setup: RunSetup,
): Exact | undefined {
  const [one, two] = [readMeasure(input, 'diameter1')?.value, readMeasure(input, 'diameter2')?.value];
  if (!one || !two) return undefined;
  const step = limitsOf(setup).number('cylinder.diameter-step', input.system);
  return roundTo(one.plus(two).div(2), step, setup.rounding ?? 'half-even');
}
