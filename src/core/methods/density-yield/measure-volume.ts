import type { LimitId, Limits } from '../../limits';
import { convert, type Exact, exact, interpolate, type System } from '../../quantity';
import { type Sheet, standard } from '../../working';

const ROWS: readonly (readonly [LimitId, string, string])[] = [
  ['density.water-60', '60', '15.6'],
  ['density.water-65', '65', '18.3'],
  ['density.water-70', '70', '21.1'],
  ['density.water-73.4', '73.4', '23.0'],
  ['density.water-75', '75', '23.9'],
  ['density.water-80', '80', '26.7'],
  ['density.water-85', '85', '29.4'],
];

/**
 * Density of water at a temperature, from the table by straight lines; the end rows beyond it.
 * @param temperature in °F or °C, the system's
 * @returns lb/ft³ or kg/m³
 * Source: ASTM C29/C29M table (from memory).
 */
export function waterDensity(temperature: Exact, system: System, limits: Limits): Exact {
  return interpolate(
    temperature,
    ROWS.map(([id, us, si]) => [exact(system === 'US' ? us : si), limits.number(id, system)] as const),
  );
}

/** Volume of a measure from the water that fills it, as a line; ft³ or m³. Source: ASTM C29/C29M (from memory). */
export function volumeLine(
  water: Exact,
  temperature: Exact,
  system: System,
  limits: Limits,
  sheet: Sheet,
): Exact {
  const density = waterDensity(temperature, system, limits);
  return sheet.line({
    symbol: 'Vm',
    name: 'Volume of the measure',
    formula: 'w / rhow',
    uses: { w: water, rhow: density },
    unit: system === 'US' ? 'ft3' : 'm3',
    source: standard('ASTM C29/C29M'),
  });
}

const BY_AGGREGATE: readonly (readonly [LimitId, string, string])[] = [
  ['density.measure-1', '1', '25'],
  ['density.measure-1-1/2', '1.5', '37.5'],
  ['density.measure-2', '2', '50'],
  ['density.measure-3', '3', '75'],
  ['density.measure-4-1/2', '4.5', '112'],
  ['density.measure-6', '6', '150'],
];

/** The register's row for the least measure of an aggregate; undefined beyond the table. */
export function measureRow(aggregate: Exact, system: System): LimitId | undefined {
  return BY_AGGREGATE.find(([, us, si]) => aggregate.lessThanOrEqualTo(system === 'US' ? us : si))?.[0];
}

/** A small volume typed in ft³ or L, in the unit the density is computed with. */
export function asComputed(volume: Exact, system: System): Exact {
  return system === 'US' ? volume : convert(volume, 'L', 'm3');
}
