import type { Limits } from '../limits';
import type { Exact, System, UnitId } from '../quantity';

/**
 * Lime that saturates a tank.
 * @param volume of the water, gal in inch-pound, L in SI
 * @returns mass in oz or g
 * Source: ASTM C511 (from memory): 0.4 oz of calcium hydroxide in a US gallon, 3 g in a litre.
 */
export function limeFor(
  volume: Exact,
  system: System,
  limits: Limits,
): { readonly mass: Exact; readonly unit: UnitId } {
  return { mass: volume.times(limits.number('curing.lime', system)), unit: system === 'US' ? 'oz' : 'g' };
}
