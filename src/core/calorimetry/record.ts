import type { RecordTrouble, StampedMapping } from '../signals';

/** What the values of a record are, and what they are carried as: a power, a power to a gram, or the voltage of a sensor. */
export const POWER_UNITS = {
  W: { label: 'W', carried: 'mW', factor: 1000 },
  mW: { label: 'mW', carried: 'mW', factor: 1 },
  uW: { label: 'µW', carried: 'mW', factor: 0.001 },
  'mW/g': { label: 'mW/g', carried: 'mW/g', factor: 1 },
  'W/kg': { label: 'W/kg', carried: 'mW/g', factor: 1 },
  'J/g/h': { label: 'J/(g·h)', carried: 'mW/g', factor: 1 / 3.6 },
  V: { label: 'V', carried: 'mV', factor: 1000 },
  mV: { label: 'mV', carried: 'mV', factor: 1 },
  uV: { label: 'µV', carried: 'mV', factor: 0.001 },
} as const;
export type PowerUnit = keyof typeof POWER_UNITS;
export const POWER_UNIT_IDS = Object.keys(POWER_UNITS) as PowerUnit[];
export const CARRIED_UNITS = ['mW', 'mW/g', 'mV'] as const;
export type CarriedUnit = (typeof CARRIED_UNITS)[number];

/** Which columns of a file are time and power, and in what they are written. */
export interface HeatMapping extends StampedMapping {
  readonly unit: PowerUnit;
}

/** What one cell of a calorimeter says. */
export interface HeatChannel {
  readonly name: string;
  /** At each of the hours of its record; null where it says nothing there. */
  readonly values: readonly (number | null)[];
  /** Rows of the file in which it has a number. */
  readonly rows: number;
  /** Noise from row to row, in the unit that is carried. */
  readonly noise: number;
  /** From when to when it stood at its very end, hours. */
  readonly clipped: readonly (readonly [from: number, to: number])[];
}

/** What a record of a calorimeter came to: hours from its first row, each row or means of short stretches. */
export interface HeatRecord {
  readonly kind: 'heat';
  readonly version: number;
  readonly rows: number;
  /** Instant of its first row, RFC 3339; null where its rows only count from their beginning. */
  readonly start: string | null;
  readonly length: number;
  /** True where rows stand for means of minutes. */
  readonly averaged: boolean;
  readonly unit: CarriedUnit;
  readonly troubles: readonly RecordTrouble[];
  readonly hours: readonly number[];
  readonly channels: readonly HeatChannel[];
}
