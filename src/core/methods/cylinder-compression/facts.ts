import type { LimitId, Limits } from '../../limits';
import { type Exact, exact, type System, type UnitId } from '../../quantity';
import { type NominalSize, type RunSetup, setupMeasure } from '../setup';

/** Nominal diameter and length in the unit of the size's own system. */
const NOMINAL: Readonly<Record<NominalSize, { system: System; diameter: string; length: string }>> = {
  '4x8': { system: 'US', diameter: '4', length: '8' },
  '6x12': { system: 'US', diameter: '6', length: '12' },
  '9x18': { system: 'US', diameter: '9', length: '18' },
  '100x200': { system: 'SI', diameter: '100', length: '200' },
  '150x300': { system: 'SI', diameter: '150', length: '300' },
  '225x450': { system: 'SI', diameter: '225', length: '450' },
};

/** Diameter a nominal size stands for, in the unit of the run's system. */
export function nominalDiameter(size: NominalSize, system: System): Exact {
  const own = NOMINAL[size];
  if (own.system === system) return exact(own.diameter);
  return own.system === 'US' ? exact(own.diameter).times('25.4') : exact(own.diameter).div('25.4');
}

/** True for the two larger sizes, 6×12 and 150×300. */
export function isLargeCylinder(size: NominalSize): boolean {
  return size !== '4x8' && size !== '100x200';
}

export const STRESS_UNIT: Readonly<Record<System, UnitId>> = { US: 'psi', SI: 'MPa' };
export const FORCE_UNIT: Readonly<Record<System, UnitId>> = { US: 'lbf', SI: 'kN' };
export const LENGTH_UNIT: Readonly<Record<System, UnitId>> = { US: 'in', SI: 'mm' };

/** Newton per square millimetre is a megapascal, so kilonewton over mm² wants this factor; lbf over in² is psi. */
export const FORCE_FACTOR: Readonly<Record<System, string>> = { US: '1', SI: '1000' };

const YOUNG: readonly { hours: number; id: LimitId }[] = [
  { hours: 72, id: 'expected.3d' },
  { hours: 168, id: 'expected.7d' },
  { hours: 336, id: 'expected.14d' },
];

/**
 * Strength expected at the specimen's age: what was given, else the specified strength times the usual excess and,
 * before the designated age, the share usual by then.
 */
export function expectedStrength(setup: RunSetup, system: System, limits: Limits): Exact | undefined {
  const unit = STRESS_UNIT[system];
  const { expectedStrength: given, specifiedStrength, ageHours, designatedAgeHours } = setup.specimen ?? {};
  const told = setupMeasure(given, 'stress', unit);
  if (told) return told;
  const specified = setupMeasure(specifiedStrength, 'stress', unit);
  const mature = specified?.times(limits.number('expected.over-specified', system));
  if (!mature || !ageHours || !designatedAgeHours || ageHours >= designatedAgeHours) return mature;
  const young = YOUNG.find((row) => ageHours <= row.hours);
  return young ? mature.times(limits.number(young.id, system)) : mature;
}
