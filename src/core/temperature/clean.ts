import type { Fault } from './types';

/** Our choices, °C and hours: they are the algorithm and go with its version. */
const COLDEST = -20;
const HOTTEST = 95;
const CODE_BELOW = -50;
const CODE_ABOVE = 150;
const POWER_UP = 85;
const POWER_UP_STEP = 10;
const SPIKE = 3;
const SPIKE_WITHIN_H = 3;
const STUCK_H = 6;
const STUCK_WITHIN_H = 24;
const OTHER_MOVED = 1;
const PASSES = 50;

/** Why each row of a sensor is left out; null where it counts. */
export type Faults = (Fault | null)[];

/** Places of the rows that count. */
export function kept(faults: Faults): number[] {
  const places: number[] = [];
  for (let index = 0; index < faults.length; index += 1) if (faults[index] === null) places.push(index);
  return places;
}

/** How far a stretch of one or two rows stands away from both its neighbours, on one side of them; 0 where it does not. */
function standsOut(
  hours: Float64Array,
  values: Float64Array,
  places: readonly number[],
  at: number,
  length: 1 | 2,
): number {
  const before = places[at - 1];
  const after = places[at + length];
  if (before === undefined || after === undefined) return 0;
  // In hours a place may have been warm and cold again.
  if ((hours[after] as number) - (hours[before] as number) > SPIKE_WITHIN_H) return 0;
  const [low, high] = [values[before] as number, values[after] as number];
  let least = Number.POSITIVE_INFINITY;
  let side = 0;
  for (let place = at; place < at + length; place += 1) {
    const own = values[places[place] as number] as number;
    const [a, b] = [own - low, own - high];
    if (Math.abs(a) <= SPIKE || Math.abs(b) <= SPIKE || a > 0 !== b > 0) return 0;
    if (side !== 0 && a > 0 !== side > 0) return 0;
    side = a;
    least = Math.min(least, Math.abs(a), Math.abs(b));
  }
  return least;
}

/** Takes out rows that jump away by themselves and come back, the largest of those near one another first. */
function spikes(hours: Float64Array, values: Float64Array, faults: Faults): void {
  for (let pass = 0; pass < PASSES; pass += 1) {
    const places = kept(faults);
    const found: { at: number; length: 1 | 2; height: number }[] = [];
    for (let at = 1; at < places.length - 1; at += 1) {
      for (const length of [1, 2] as const) {
        const height = standsOut(hours, values, places, at, length);
        if (height > 0) found.push({ at, length, height });
      }
    }
    if (found.length === 0) return;
    const spoken = new Set<number>();
    for (const { at, length } of found.toSorted((a, b) => b.height - a.height)) {
      const touched = Array.from({ length: length + 4 }, (_, place) => at - 2 + place);
      if (touched.some((each) => spoken.has(each))) continue;
      for (const each of touched) spoken.add(each);
      for (let place = at; place < at + length; place += 1) faults[places[place] as number] = 'spike';
    }
  }
}

/**
 * Stretches of a sensor that stand still to the last digit for hours in the first day.
 * @returns first and last place of each
 */
export function stillFor(
  hours: ArrayLike<number>,
  values: ArrayLike<number>,
  places: readonly number[],
): (readonly [from: number, to: number])[] {
  const found: (readonly [number, number])[] = [];
  let from = 0;
  for (let at = 1; at <= places.length; at += 1) {
    if (at < places.length && values[places[at] as number] === values[places[from] as number]) continue;
    const [first, last] = [places[from] as number, places[at - 1] as number];
    const began = (hours[first] as number) - (hours[0] as number);
    if (began < STUCK_WITHIN_H && (hours[last] as number) - (hours[first] as number) >= STUCK_H)
      found.push([first, last]);
    from = at;
  }
  return found;
}

/** How far the other sensors went between two places. */
function moved(others: readonly Float64Array[], [from, to]: readonly [number, number]): number {
  return Math.max(
    0,
    ...others.map((values) => {
      const own = values.subarray(from, to + 1).filter((value) => value > COLDEST && value < HOTTEST);
      return own.length === 0
        ? 0
        : own.reduce((a, b) => Math.max(a, b)) - own.reduce((a, b) => Math.min(a, b));
    }),
  );
}

/**
 * What of a sensor's readings cannot be true, in this order: no number, codes of a broken sensor, beyond what concrete and
 * air can have, jumps of one or two rows, and a sensor that stands still for hours in the first day while others move.
 * @param hours of the rows
 * @param values °C of this sensor; NaN where none was written
 * @param others the other sensors of the record
 * Source: our choice.
 */
export function findFaults(
  hours: Float64Array,
  values: Float64Array,
  others: readonly Float64Array[],
): Faults {
  const faults: Faults = Array.from(values, (value) =>
    Number.isNaN(value) ? 'no number' : value <= CODE_BELOW || value > CODE_ABOVE ? 'code' : null,
  );
  // What a digital sensor says just after it got its power, unless it is so hot there.
  const before = kept(faults);
  for (const [at, place] of before.entries()) {
    if (values[place] !== POWER_UP) continue;
    const beside = [before[at - 1], before[at + 1]].filter((each) => each !== undefined);
    if (beside.every((each) => Math.abs((values[each] as number) - POWER_UP) > POWER_UP_STEP))
      faults[place] = 'code';
  }
  for (const place of kept(faults)) {
    const value = values[place] as number;
    if (value < COLDEST || value > HOTTEST) faults[place] = 'beyond what can be';
  }
  spikes(hours, values, faults);
  const left = kept(faults);
  for (const stretch of stillFor(hours, values, left)) {
    if (moved(others, stretch) <= OTHER_MOVED) continue;
    for (const place of left) if (place >= stretch[0] && place <= stretch[1]) faults[place] = 'stuck';
  }
  return faults;
}
