/** What a balance weighs in. */
export const BALANCE_UNITS = ['lb', 'kg', 'g'] as const;
export type BalanceUnit = (typeof BALANCE_UNITS)[number];

/** One reading of a balance. */
export interface BalanceReading {
  /** Seconds of the device. */
  readonly t: number;
  /** What it shows, less its tare. */
  readonly mass: number;
  readonly unit: BalanceUnit;
  /** True once it has stood still for a while. */
  readonly steady: boolean;
  /** Decimals that it shows. */
  readonly places: number;
}

/** One line of a balance, a JSON object: see docs/devices.md. */
export interface MassLine extends BalanceReading {
  readonly seq: number;
  /** The device's wall clock when the line was sent, ms since 1970. */
  readonly at: number;
}
