import { type Exact, exact, type System, type UnitId } from '../../quantity';

/** °C, or a difference of °C, as the run's system has it. */
export interface DegreeUnits {
  readonly unit: UnitId;
  readonly difference: UnitId;
  temperature(celsius: number): Exact;
  /** Of a difference, or of °C·h. */
  degrees(celsius: number): Exact;
  toCelsius(value: Exact): number;
  toDifference(value: Exact): number;
}

/** Numbers that came of measured ones in binary: their noise beyond ten digits is none of theirs. */
export const measured = (value: number): Exact => exact(Number(value.toPrecision(10)));

/** Decimals of °F that a °C in binary still has. */
const KEPT = 6;

export function degreeUnits(system: System): DegreeUnits {
  return system === 'US'
    ? {
        unit: 'degF',
        difference: 'deltaF',
        temperature: (celsius) => measured(celsius).times(1.8).plus(32).toDecimalPlaces(KEPT),
        degrees: (celsius) => measured(celsius).times(1.8).toDecimalPlaces(KEPT),
        toCelsius: (value) => value.minus(32).div(1.8).toNumber(),
        toDifference: (value) => value.div(1.8).toNumber(),
      }
    : {
        unit: 'degC',
        difference: 'deltaC',
        temperature: measured,
        degrees: measured,
        toCelsius: (value) => value.toNumber(),
        toDifference: (value) => value.toNumber(),
      };
}
