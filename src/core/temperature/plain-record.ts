import { analyseRecord } from './analyse';
import type { TemperatureRecord } from './types';

/**
 * A record whose rows are known as numbers: there is no file that had to be read.
 * @param hours of its rows, from the first
 * @param sensors °C at each of them, by the name of the sensor
 * @param start instant of its first row, RFC 3339; null where its rows only count
 */
export function plainRecord(
  hours: readonly number[],
  sensors: Readonly<Record<string, readonly number[]>>,
  start: string | null = null,
): TemperatureRecord {
  return analyseRecord(
    {
      seconds: Float64Array.from(hours, (at) => at * 3600),
      celsius: Object.values(sensors).map((each) => Float64Array.from(each)),
      start: start === null ? null : Date.parse(start) / 1000,
      unread: 0,
      examples: [],
      troubles: [],
    },
    Object.keys(sensors),
  );
}
