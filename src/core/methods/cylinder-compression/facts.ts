import { type Exact, exact, type System } from '../../quantity';
import type { NominalSize } from '../setup';

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

/** Length a nominal size stands for, in the unit of the run's system. */
export function nominalLength(size: NominalSize, system: System): Exact {
  const own = NOMINAL[size];
  if (own.system === system) return exact(own.length);
  return own.system === 'US' ? exact(own.length).times('25.4') : exact(own.length).div('25.4');
}
