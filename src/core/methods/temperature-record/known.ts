import type { Limit, Limits } from '../../limits';
import { between, excursion } from '../../temperature';
import { initialRange } from '../initial-curing/compute';
import type { RunSetup } from '../setup';
import type { Sensor } from '../temperature/sensors';
import { degreeUnits } from '../temperature/units';
import type { TemperatureRecordInput } from './input';

/** Hours. */
export const DAY_H = 24;

/** What a run knows of its records, put together once. */
export interface Known {
  readonly input: TemperatureRecordInput;
  readonly setup: RunSetup;
  readonly limits: Limits;
  readonly sensors: readonly Sensor[];
  readonly main: Sensor;
  /** Hour of the record from which it counts, and at which it ends. */
  readonly from: number;
  readonly to: number;
}

/** The sensor of a place; undefined where there is none. */
export const at = (sensors: readonly Sensor[], place: Sensor['place']): Sensor | undefined =>
  sensors.find((each) => each.place === place);

/** The range that a place is held to; undefined where it is held to none. */
export function rangeOf({ input, setup, limits }: Known): Limit | undefined {
  if (input.purpose === 'box') return initialRange(setup, limits, input.system);
  return input.purpose === 'mass' ? limits.of('mass.highest', input.system) : undefined;
}

/** The two places that are compared. */
export function placesOf(sensors: readonly Sensor[]): readonly [Sensor | undefined, Sensor | undefined] {
  const [a, b] = sensors.filter(({ place }) => place !== 'air');
  return [a, b];
}

/** How long the box was outside of its range, and by how much. */
export function outside({ input, setup, limits, main, from, to }: Known) {
  const range = initialRange(setup, limits, input.system);
  const { toCelsius } = degreeUnits(input.system);
  return excursion(
    between(main.series, from, to),
    {
      low: range.low ? toCelsius(range.low) : undefined,
      high: range.high ? toCelsius(range.high) : undefined,
    },
    limits.number('record.line', input.system).toNumber(),
  );
}
