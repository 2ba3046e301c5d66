import { convert, type Exact, exact, type System, type UnitId } from '../../quantity';
import type { LogAnalysis } from '../../signals';

/** What a record is told in: it is analysed in N and mm, and read in the units of the run. */
export const BEND_UNITS = {
  US: { force: 'lbf', length: 'in', energy: 'in.lbf', stiffness: 'lbf/in', stress: 'psi' },
  SI: { force: 'kN', length: 'mm', energy: 'J', stiffness: 'kN/mm', stress: 'MPa' },
} as const satisfies Readonly<Record<System, Readonly<Record<string, UnitId>>>>;

/** Digits of a double that are of the record and not of its arithmetic. */
const DIGITS = 12;

function inUnit(value: number, from: UnitId, to: UnitId): Exact {
  return convert(exact(value).toSignificantDigits(DIGITS), from, to).toSignificantDigits(DIGITS);
}

/** Turns figures of a record, N and mm, into those of a run. */
export function bendUnits(system: System) {
  const { force, length, energy, stiffness } = BEND_UNITS[system];
  return {
    force: (newtons: number): Exact => inUnit(newtons, 'N', force),
    length: (mm: number): Exact => inUnit(mm, 'mm', length),
    // A newton millimetre is a thousandth of a joule.
    energy: (nmm: number): Exact => inUnit(nmm / 1000, 'J', energy),
    stiffness: (perMm: number): Exact => inUnit(perMm, 'N/mm', stiffness),
  };
}

/** What the record of a bent beam came to. */
export type Bend = NonNullable<LogAnalysis['bend']>;
