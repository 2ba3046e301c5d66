import type { System, UnitId } from '../../quantity';

export const STRESS_UNIT: Readonly<Record<System, UnitId>> = { US: 'psi', SI: 'MPa' };
export const FORCE_UNIT = { US: 'lbf', SI: 'kN' } as const satisfies Readonly<Record<System, UnitId>>;
export const LENGTH_UNIT: Readonly<Record<System, UnitId>> = { US: 'in', SI: 'mm' };

/** Newton per square millimetre is a megapascal, so kilonewton over mm² wants this factor; lbf over in² is psi. */
export const FORCE_FACTOR: Readonly<Record<System, string>> = { US: '1', SI: '1000' };
