import { firstFrom, temperatureAt } from './maturity-index';
import type { Series } from './types';

/** How long, and by how much, a temperature was outside of a range; straight lines between its rows. */
export interface Excursion {
  readonly above: number;
  readonly below: number;
  /** °C·h */
  readonly degreesAbove: number;
  readonly degreesBelow: number;
  /** Hours of its record between which it was outside at all; null where it never was. */
  readonly first: number | null;
  readonly last: number | null;
  /** Hours of gaps that are too long to know. */
  readonly unknown: number;
}

/** Hours and °C·h above a level along a straight line from a to b, both told from the level. */
function over(a: number, b: number, hours: number): readonly [number, number] {
  if (a <= 0 && b <= 0) return [0, 0];
  if (a >= 0 && b >= 0) return [hours, ((a + b) / 2) * hours];
  const above = Math.max(a, b);
  const share = above / (Math.abs(a) + Math.abs(b));
  return [share * hours, (above / 2) * share * hours];
}

/**
 * @param low °C, ends inside; absent where it has none
 * @param high °C
 * @param longest gap over which a line is drawn, hours
 */
export function excursion(
  { hours, celsius, gaps }: Series,
  { low, high }: { readonly low?: number | undefined; readonly high?: number | undefined },
  longest: number,
): Excursion {
  const broken = new Set(gaps);
  const found = { above: 0, below: 0, degreesAbove: 0, degreesBelow: 0, unknown: 0 };
  let [first, last]: [number | null, number | null] = [null, null];
  for (let place = 0; place < hours.length; place += 1) {
    const [at, value] = [hours[place] as number, celsius[place] as number];
    if ((high !== undefined && value > high) || (low !== undefined && value < low)) {
      first ??= at;
      last = at;
    }
    if (place === 0) continue;
    const step = at - (hours[place - 1] as number);
    if (broken.has(place - 1) && step > longest) {
      found.unknown += step;
      continue;
    }
    const before = celsius[place - 1] as number;
    if (high !== undefined) {
      const [time, degrees] = over(before - high, value - high, step);
      found.above += time;
      found.degreesAbove += degrees;
    }
    if (low !== undefined) {
      const [time, degrees] = over(low - before, low - value, step);
      found.below += time;
      found.degreesBelow += degrees;
    }
  }
  return { ...found, first, last };
}

/** The part of a series between two hours, with its ends by straight lines. */
export function between(series: Series, from: number, to: number): Series {
  const [first, after] = [firstFrom(series.hours, from), firstFrom(series.hours, to)];
  const own = {
    hours: series.hours.slice(first, after),
    celsius: series.celsius.slice(first, after),
    gaps: series.gaps.filter((place) => place >= first && place < after - 1).map((place) => place - first),
  };
  const ends = [temperatureAt(series, from), temperatureAt(series, to)];
  if (ends[0] !== undefined && own.hours[0] !== from) {
    own.hours.unshift(from);
    own.celsius.unshift(ends[0]);
    own.gaps = own.gaps.map((place) => place + 1);
    if (series.gaps.includes(first - 1)) own.gaps.unshift(0);
  }
  if (ends[1] !== undefined && own.hours.at(-1) !== to) {
    if (series.gaps.includes(after - 1)) own.gaps.push(own.hours.length - 1);
    own.hours.push(to);
    own.celsius.push(ends[1]);
  }
  return own;
}

/** How far one place was above another, where both were recorded. */
export interface Difference {
  readonly hours: readonly number[];
  readonly celsius: readonly number[];
  readonly greatest: { readonly at: number; readonly celsius: number };
}

/**
 * The difference of two places at every row of both.
 * @param inner the warmer one by rights: the core
 * @param shift hours to take from the stamps of the outer one
 * @returns undefined where they were never recorded at one time
 */
export function difference(inner: Series, outer: Series, shift = 0): Difference | undefined {
  const own = { ...outer, hours: outer.hours.map((at) => at - shift) };
  const stamps = [...new Set([...inner.hours, ...own.hours])].toSorted((a, b) => a - b);
  const hours: number[] = [];
  const celsius: number[] = [];
  let greatest: { at: number; celsius: number } | undefined;
  for (const at of stamps) {
    const [a, b] = [temperatureAt(inner, at), temperatureAt(own, at)];
    if (a === undefined || b === undefined) continue;
    hours.push(at);
    celsius.push(a - b);
    if (!greatest || a - b > greatest.celsius) greatest = { at, celsius: a - b };
  }
  return greatest && { hours, celsius, greatest };
}

/** The fastest fall over a stretch of time, °C, and when it ended; undefined for a shorter record. */
export function greatestDrop(
  series: Series,
  over: number,
): { readonly at: number; readonly celsius: number } | undefined {
  let found: { at: number; celsius: number } | undefined;
  for (const [place, at] of series.hours.entries()) {
    const before = temperatureAt(series, at - over);
    if (before === undefined) continue;
    const drop = before - (series.celsius[place] as number);
    if (!found || drop > found.celsius) found = { at, celsius: drop };
  }
  return found;
}

/** Mean of a temperature over its time. */
export function meanOver({ hours, celsius }: Series): number | undefined {
  const [first, last] = [hours[0], hours.at(-1)];
  if (first === undefined || last === undefined) return undefined;
  if (last === first) return celsius[0];
  let area = 0;
  for (let place = 1; place < hours.length; place += 1)
    area +=
      (((celsius[place] as number) + (celsius[place - 1] as number)) / 2) *
      ((hours[place] as number) - (hours[place - 1] as number));
  return area / (last - first);
}
