import { isWithin, type Limits } from '../../limits';
import type { System } from '../../quantity';
import { readMeasure } from '../fields';
import type { AirRow } from './input';

/** A time that the room was out of its range; instants in ms since the epoch. */
export interface Excursion {
  readonly from: number;
  /** When it was inside again; null while it is not. */
  readonly to: number | null;
  readonly words: string;
}

const MINUTE = 60_000;

/**
 * The times for which a room was out of its range longer than is passed over, by its readings.
 * @param rows in any order; a reading holds until the next one
 * Source: ASTM C140/C140M (from memory): 75 ± 15 °F, relative humidity below 80 %; what is passed over is our choice.
 */
export function excursions(rows: readonly AirRow[], limits: Limits, system: System): Excursion[] {
  const read = rows
    .flatMap((row) => {
      const at = Date.parse(row.at ?? '');
      const temperature = readMeasure(row, 'temperature')?.value;
      const humidity = readMeasure(row, 'humidity')?.value;
      return Number.isNaN(at) || !temperature || !humidity ? [] : [{ at, temperature, humidity }];
    })
    .toSorted((a, b) => a.at - b.at);
  const room = limits.of('condition.temperature', system);
  const wet = limits.number('condition.humidity', system);
  const most = limits.number('condition.away', system).toNumber() * MINUTE;
  const found: Excursion[] = [];
  let open: { from: number; words: string } | undefined;
  for (const { at, temperature, humidity } of read) {
    const warm = isWithin(temperature, room);
    // The humidity is a most that is not reached: 80 % itself is too much.
    const good = warm && humidity.lessThan(wet);
    if (good) {
      if (open && at - open.from > most) found.push({ ...open, to: at });
      open = undefined;
    } else
      open ??= {
        from: at,
        words: warm ? `${humidity} % humidity` : `${temperature} ${system === 'US' ? '°F' : '°C'}`,
      };
  }
  if (open) found.push({ ...open, to: null });
  return found;
}
