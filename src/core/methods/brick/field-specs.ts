import { WipedRow } from './weighed';

/** What halves are read alike when they come out of cold water and after they were boiled. */

export const WATER = {
  dimension: 'temperature',
  unit: { US: 'degF', SI: 'degC' },
  step: { US: '1', SI: '0.5' },
  required: true,
} as const;

/** How its temperature is held. */
export const WATER_HELD = {
  limit: 'brick.water',
  severity: 'departure',
  what: 'The water is at',
} as const;

export const OUT_AT = { label: 'First out of the water at', required: true } as const;

export const WIPED = {
  label: 'Halves',
  Row: WipedRow,
  row: 'half',
  required: true,
  help: 'One at a time: wiped, on the balance within five minutes.',
} as const;
