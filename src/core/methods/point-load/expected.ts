import type { Limits } from '../../limits';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import type { PlanItem } from '../contract';
import { factMeasure, factText } from '../facts';
import { FORCE_FACTOR, FORCE_UNIT, STRESS_UNIT } from '../press/units';
import type { RunSetup } from '../setup';

/**
 * Load that a piece will probably break at, in lbf or kN, where the strength of its rock is expected at all.
 * @param diameter equivalent core diameter, in or mm
 * Source: the definitions of ASTM D5731 turned around (from memory): P = Is(50) · De^1.55 · S^0.45, Is(50) = UCS / K.
 */
export function expectedLoad(
  diameter: Exact,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Exact | undefined {
  const strength = factMeasure(setup, 'expectedStrength', 'stress', STRESS_UNIT[system]);
  if (!strength || !diameter.greaterThan(0)) return undefined;
  const own = factText(setup, 'factor');
  const factor = own === undefined ? limits.number('point.factor', system) : exact(own);
  const size = limits.number('point.size', system);
  const power = diameter.div(size).pow(limits.number('point.exponent', system));
  return strength.div(factor).times(diameter.pow(2)).div(power).div(FORCE_FACTOR[system]);
}

/** What is expected of a piece as large as 50 mm, and how fast it is to be loaded. */
export function expectedItems(system: System, setup: RunSetup, limits: Limits): PlanItem[] {
  const load = expectedLoad(limits.number('point.size', system), system, setup, limits);
  const { low, high } = limits.of('point.time', system);
  if (!load || !low || !high) return [];
  const unit = FORCE_UNIT[system];
  const digits = (value: Exact): string => plainOf(value.toSignificantDigits(2), unit);
  return [
    {
      label: 'Expected load',
      text: digits(load),
      note: 'Of a piece like a core of 50 mm; it grows with the piece.',
    },
    { label: 'Rate', text: `${digits(load.div(high))}/s to ${digits(load.div(low))}/s` },
  ];
}
