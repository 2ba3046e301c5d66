/**
 * Gauge of a pressure meter with an air chamber after the main valve is opened.
 * @param air content of the bowl, fraction
 * @param initial gauge pressure of the chamber, any unit
 * @param chamber volume of the chamber over that of the bowl
 * @returns the gauge in the same unit; the pressure of the atmosphere cancels
 * Source: Boyle’s law for the chamber opening into the air of the bowl.
 */
export function gaugeAfterRelease(air: number, initial: number, chamber: number): number {
  return (initial * chamber) / (chamber + air);
}

/**
 * What the dial, divided in percent of air, shows for a gauge pressure: the inverse of `gaugeAfterRelease`.
 * @returns air in percent
 */
export function apparentAir(gauge: number, initial: number, chamber: number): number {
  return gauge <= 0 ? Number.POSITIVE_INFINITY : 100 * chamber * (initial / gauge - 1);
}

/** How a volumetric meter behaves: what is in it, and what went wrong with it. */
export interface RollMeter {
  /** True air content, percent. */
  readonly air: number;
  /** Part of the concrete that stays packed in the bowl, fraction: its air never comes up. */
  readonly stuck?: number;
  /** Liquid lost while rolling, percent of the bowl: reads as air. */
  readonly leaked?: number;
  /** What the alcohol itself adds to the reading, percent. */
  readonly alcohol?: number;
}

/** Minutes in which the rising bubbles die away to about a third. */
const SETTLING_MINUTES = 0.8;

/**
 * Level in the neck of a volumetric meter that stands upright.
 * @param minutes since it was set upright
 * @returns percent, unrounded; rises towards its end as air goes on coming up
 */
export function meterLevel(meter: RollMeter, minutes: number): number {
  const end = meter.air * (1 - (meter.stuck ?? 0)) + (meter.leaked ?? 0) + (meter.alcohol ?? 0);
  return end * (1 - 0.35 * Math.exp(-Math.max(0, minutes) / SETTLING_MINUTES));
}

/** A value as an instrument with divisions shows it. */
export function divisions(value: number, step: number): number {
  return Math.round(value / step) * step;
}

/** Inches as they are read off a ruler in quarters: `4 1/4`, `3`. */
export function quarters(inches: number): string {
  const all = Math.round(inches * 4);
  const whole = Math.floor(all / 4);
  const rest = ['', '1/4', '1/2', '3/4'][all % 4] ?? '';
  if (rest === '') return String(whole);
  return whole === 0 ? rest : `${whole} ${rest}`;
}
