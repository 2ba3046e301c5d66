import { type Faults, faultsOfEach, kept } from './clean';
import type { RawRecord } from './read';
import { type Channel, FAULTS, RECORD_VERSION, type Removed, type TemperatureRecord } from './types';

/** Rows of a sensor that a test carries with it; longer records are averaged over stretches of time. */
const CARRIED = 1500;
const WIDTHS_MIN = [1, 2, 5, 10, 15, 20, 30, 60, 120, 240, 480, 1440];
const GAP_H = 1;
const EARLY_H = 48;
const LISTED = 20;
/** A change is told as a rate over rows that are so far apart, hours. */
const RATE_MOST_H = 1.001;
const RATE_LEAST_H = 0.25;

const hoursText = (value: number): number => Math.round(value * 1e5) / 1e5;
const degrees = (value: number): number => Math.round(value * 1e4) / 1e4;

/** Stretch of time that a record is averaged over so that it can be carried, hours; null where every row can stand. */
function widthFor(rows: number, length: number): number | null {
  if (rows <= CARRIED) return null;
  const minutes = WIDTHS_MIN.find((each) => (length * 60) / each <= CARRIED - 100) ?? WIDTHS_MIN.at(-1);
  return (minutes ?? 1440) / 60;
}

/** The rows that stand for a record: all of them, or means of stretches between the ends of what is unbroken. */
function carried(
  hours: Float64Array,
  values: Float64Array,
  places: Int32Array,
  width: number | null,
): Pick<Channel, 'hours' | 'celsius' | 'gaps'> {
  const own = { hours: [] as number[], celsius: [] as number[], gaps: [] as number[] };
  const put = (at: number, value: number): void => {
    own.hours.push(hoursText(at));
    own.celsius.push(degrees(value));
  };
  let [bin, sumAt, sum, held] = [-1, 0, 0, 0];
  const flush = (): void => {
    if (held > 0) put(sumAt / held, sum / held);
    [sumAt, sum, held] = [0, 0, 0];
  };
  for (let order = 0; order < places.length; order += 1) {
    const place = places[order] as number;
    const at = hours[place] as number;
    const value = values[place] as number;
    const [before, after] = [places[order - 1], places[order + 1]];
    const broken = before !== undefined && at - (hours[before] as number) > GAP_H;
    const ends = after === undefined || (hours[after] as number) - at > GAP_H;
    if (width === null || before === undefined || broken || ends) {
      flush();
      if (broken) own.gaps.push(own.hours.length - 1);
      put(at, value);
      bin = -1;
      continue;
    }
    const mine = Math.floor(at / width);
    if (mine !== bin) flush();
    bin = mine;
    sumAt += at;
    sum += value;
    held += 1;
  }
  return own;
}

/** The smallest step between two different readings, °C: what it is written to. */
function resolutionOf(values: Float64Array, places: Int32Array): number {
  let least = Number.POSITIVE_INFINITY;
  for (let order = 1; order < Math.min(places.length, 4000); order += 1) {
    const step = Math.abs(
      (values[places[order] as number] as number) - (values[places[order - 1] as number] as number),
    );
    if (step > 1e-6 && step < least) least = step;
  }
  return Number.isFinite(least) ? degrees(least) : 0;
}

function channelOf(
  name: string,
  hours: Float64Array,
  values: Float64Array,
  faults: Faults,
  width: number | null,
): Channel | undefined {
  const places = kept(faults);
  const [first] = places;
  if (first === undefined) return undefined;
  let [high, low] = [first, first];
  let [longestEarly, longestLate] = [0, 0];
  let fastest: { at: number; rate: number } | null = null;
  let back = 0;
  for (let order = 0; order < places.length; order += 1) {
    const place = places[order] as number;
    const value = values[place] as number;
    const at = hours[place] as number;
    if (value > (values[high] as number)) high = place;
    if (value < (values[low] as number)) low = place;
    const before = places[order - 1];
    if (before === undefined) continue;
    const step = at - (hours[before] as number);
    if ((hours[before] as number) < EARLY_H) longestEarly = Math.max(longestEarly, step);
    else longestLate = Math.max(longestLate, step);
    // Over an hour, so that the last digit of a fast logger is no rate.
    while (back < order && at - (hours[places[back] as number] as number) > RATE_MOST_H) back += 1;
    const over = at - (hours[places[back] as number] as number);
    if (over < RATE_LEAST_H) continue;
    const rate = (value - (values[places[back] as number] as number)) / over;
    if (!fastest || Math.abs(rate) > Math.abs(fastest.rate))
      fastest = { at: hoursText(at), rate: degrees(rate) };
  }
  const removed: Removed[] = [];
  for (let index = 0; index < faults.length && removed.length < LISTED; index += 1) {
    const why = FAULTS[(faults[index] as number) - 1];
    if (!why) continue;
    const was = values[index] as number;
    removed.push({
      at: hoursText(hours[index] as number),
      was: Number.isNaN(was) ? null : degrees(was),
      why,
    });
  }
  const moment = (place: number) => ({
    at: hoursText(hours[place] as number),
    celsius: degrees(values[place] as number),
  });
  return {
    name,
    rows: places.length,
    removed: faults.length - places.length,
    faults: removed,
    highest: moment(high),
    lowest: moment(low),
    fastest,
    longestEarly: hoursText(longestEarly),
    longestLate: hoursText(longestLate),
    resolution: resolutionOf(values, places),
    ...carried(hours, values, places, width),
  };
}

/**
 * What a record of temperatures says of each of its sensors: what is left out and why, extremes, fastest change, longest
 * steps and gaps, and the temperature over time that a test carries with it.
 * @param names of the sensors, as the file has them
 * @returns never throws; a sensor without one reading that counts is left out
 * Source: our choice.
 */
export function analyseRecord(raw: RawRecord, names: readonly string[]): TemperatureRecord {
  const hours = raw.seconds.map((each) => each / 3600);
  const length = hours.at(-1) ?? 0;
  const width = widthFor(hours.length, length);
  const faults = faultsOfEach(hours, raw.celsius);
  return {
    kind: 'temperature',
    version: RECORD_VERSION,
    rows: hours.length,
    start: raw.start === null ? null : new Date(raw.start * 1000).toISOString(),
    length: hoursText(length),
    averaged: width,
    troubles: raw.troubles,
    channels: raw.celsius.flatMap(
      (values, place) =>
        channelOf(names[place] ?? `Sensor ${place + 1}`, hours, values, faults[place] as Faults, width) ?? [],
    ),
  };
}
