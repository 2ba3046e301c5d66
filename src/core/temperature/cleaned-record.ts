import { csvText } from '../interchange/csv';
import { faultsOfEach } from './clean';
import type { RawRecord } from './read';
import { FAULTS } from './types';

/**
 * All rows of a record as CSV: instant or hours, °C of each sensor, and beside it why a reading is left out; nothing is
 * taken away.
 * @param names of the sensors
 */
export function cleanedRecordCsv(raw: RawRecord, names: readonly string[]): string {
  const hours = raw.seconds.map((each) => each / 3600);
  const faults = faultsOfEach(hours, raw.celsius);
  const { start } = raw;
  const rows = Array.from(hours, (hour, row) => [
    start === null ? hour.toFixed(5) : new Date((start + (raw.seconds[row] as number)) * 1000).toISOString(),
    ...raw.celsius.flatMap((values, place) => {
      const value = values[row] as number;
      return [Number.isNaN(value) ? '' : value.toFixed(3), FAULTS[(faults[place]?.[row] ?? 0) - 1] ?? ''];
    }),
  ]);
  return csvText(
    [
      start === null ? 'hours' : 'instant',
      ...names.flatMap((name) => [`${name}, degC`, `${name}, left out`]),
    ],
    rows,
  );
}
