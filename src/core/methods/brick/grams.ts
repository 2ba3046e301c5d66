import type { Exact } from '../../quantity';

/** The mass of a brick or half, as a laboratory balance shows it. */
export const GRAMS = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['20', '12000'], SI: ['20', '12000'] },
} as const;

/** The same of a half. */
export const HALF_GRAMS = { ...GRAMS, possible: { US: ['20', '6000'], SI: ['20', '6000'] } } as const;

/** A mass as a batch tells it: every digit, with its unit. */
export function gramText(mass: Exact): string {
  return `${mass.toFixed()} g`;
}

/** A size of a brick, as a calliper reads it. */
export const BRICK_SIZE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.1' },
  possible: { US: ['1', '17'], SI: ['25', '430'] },
} as const;
