import type { Exact, System } from '../quantity';

/** The mass of something that is carried to a balance, as it is read there. */
export const MASS = {
  dimension: 'mass',
  unit: { US: 'lb', SI: 'kg' },
  step: { US: '0.01', SI: '0.005' },
  possible: { US: ['0.05', '250'], SI: ['0.02', '115'] },
} as const;

/** A mass as a batch tells it: every digit, with its unit. */
export function massText(mass: Exact, system: System): string {
  return `${mass.toFixed()} ${MASS.unit[system]}`;
}
