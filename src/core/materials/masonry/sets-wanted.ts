import type { Limits } from '../../limits';
import { strengthCount } from '../schools';

/**
 * Sets of units that a lot asks for.
 * @param units whole units in the lot
 * @returns one up to 10,000, two up to 100,000, above one for each 50,000 or part of it
 * Source: ASTM C140/C140M 5.2 (from memory).
 */
export function setsWanted(units: number, limits: Limits): number {
  const of = (id: 'unit.lot-one' | 'unit.lot-two' | 'unit.lot-each'): number =>
    limits.number(id, 'US').toNumber();
  if (units <= of('unit.lot-one')) return 1;
  return units <= of('unit.lot-two') ? 2 : Math.ceil(units / of('unit.lot-each'));
}

/** How many units of a set are for strength, and how many for absorption. */
export function countsOf(product: unknown, limits: Limits): readonly [broken: number, dried: number] {
  return [
    limits.number(strengthCount('unit', product), 'US').toNumber(),
    limits.number('unit.role-count', 'US').toNumber(),
  ];
}
