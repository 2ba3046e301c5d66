import type { Limits } from '../../limits';
import type { System } from '../../quantity';
import type { Channel, Series, TemperatureRecord } from '../../temperature';
import { readMeasure } from '../fields';
import { type Place, SENSOR_KINDS, type SensorKind, type SensorRow } from './sensor-row';
import { degreeUnits } from './units';

/** A sensor as a test takes it: its series on the time of the first record, corrected by its bath check. */
export interface Sensor {
  readonly name: string;
  readonly of: 'first' | 'second';
  readonly place: Place;
  readonly channel: Channel;
  readonly series: Series;
  /** °C that it was found to read too high; null where it was never in a bath. */
  readonly bath: number | null;
  /** °C either way that it may be wrong. */
  readonly tolerance: number | null;
}

/** What is known of the time of two records. */
interface RecordTimes {
  /** Instant of hour nought, ms; null where no record says it. */
  readonly zero: number | null;
  /** Hours that the second record began after the first. */
  readonly shift: number;
  /** Both have instants, so that the shift is known. */
  readonly together: boolean;
}

function timesOf(first: TemperatureRecord | undefined, second: TemperatureRecord | undefined): RecordTimes {
  const [a, b] = [first, second].map((record) => (record?.start ? Date.parse(record.start) : null));
  const zero = a ?? (first ? null : (b ?? null));
  const together = typeof a === 'number' && typeof b === 'number';
  return { zero, shift: together ? (b - a) / 3_600_000 : 0, together };
}

function guessedPlace(name: string): Place {
  if (/core|cent(?:er|re)|middle/iu.test(name)) return 'core';
  if (/surf|edge|skin/iu.test(name)) return 'surface';
  if (/air|amb|outside/iu.test(name)) return 'air';
  if (/box/iu.test(name)) return 'box';
  return /room|tank|cabinet/iu.test(name) ? 'room' : 'specimen';
}

const plain = (text: string): string => text.trim().toLowerCase();

/**
 * The sensors of up to two records, with what was said of each.
 * @returns also the rows that speak of a sensor no record has
 */
export function sensorsOf(
  first: TemperatureRecord | undefined,
  second: TemperatureRecord | undefined,
  rows: readonly SensorRow[],
  limits: Limits,
  system: System,
): { readonly sensors: readonly Sensor[]; readonly times: RecordTimes; readonly unknown: readonly string[] } {
  const times = timesOf(first, second);
  const { toDifference } = degreeUnits(system);
  const used = new Set<SensorRow>();
  const made = ([record, of]: readonly [TemperatureRecord | undefined, Sensor['of']]): Sensor[] =>
    (record?.channels ?? []).map((channel, column) => {
      // `1` or `B2`: its column, and of which record.
      const key = `${of === 'first' ? '' : 'B'}${column + 1}`;
      const row = rows.find(
        ({ sensor }) => sensor && (plain(sensor) === plain(key) || plain(sensor) === plain(channel.name)),
      );
      if (row) used.add(row);
      const read = row && readMeasure(row, 'bath');
      const bath = read ? toDifference(read.value) : null;
      const shift = of === 'first' || !first ? 0 : times.shift;
      const kind: SensorKind | undefined = row?.kind;
      return {
        name: channel.name,
        of,
        place: row?.place ?? guessedPlace(channel.name),
        channel,
        series: {
          hours: shift === 0 ? channel.hours : channel.hours.map((at) => at + shift),
          celsius: bath === null ? channel.celsius : channel.celsius.map((value) => value - bath),
          gaps: channel.gaps,
        },
        bath,
        tolerance:
          bath !== null
            ? toDifference(limits.number('record.checked', system))
            : kind
              ? toDifference(limits.number(SENSOR_KINDS[kind], system))
              : null,
      };
    });
  const sensors = (
    [
      [first, 'first'],
      [second, 'second'],
    ] as const
  ).flatMap(made);
  return {
    sensors,
    times,
    unknown: rows.flatMap((row) => (row.sensor && !used.has(row) && sensors.length > 0 ? [row.sensor] : [])),
  };
}

/** The sensor that speaks for the concrete, or for the place. */
export function mainSensor(sensors: readonly Sensor[]): Sensor | undefined {
  for (const place of ['core', 'specimen', 'box', 'room'] as const) {
    const found = sensors.find((each) => each.place === place);
    if (found) return found;
  }
  return sensors[0];
}
