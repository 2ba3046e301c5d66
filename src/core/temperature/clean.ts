import { FAULTS, type Fault } from './types';

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

/** Why each row of a sensor is left out: the place of its fault among `FAULTS`, from one; nought where it counts. */
export type Faults = Uint8Array;

const as = (fault: Fault): number => FAULTS.indexOf(fault) + 1;

/** Places of the rows that count. */
export function kept(faults: Faults): Int32Array {
  const places = new Int32Array(faults.length);
  let count = 0;
  for (let index = 0; index < faults.length; index += 1) if (faults[index] === 0) places[count++] = index;
  return places.subarray(0, count);
}

/** How far a stretch of one or two rows stands away from both its neighbours, on one side of them; 0 where it does not. */
function standsOut(
  hours: Float64Array,
  values: Float64Array,
  places: Int32Array,
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
      const own = values[places[at] as number] as number;
      if (Math.abs(own - (values[places[at - 1] as number] as number)) <= SPIKE) continue;
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
      for (let place = at; place < at + length; place += 1) faults[places[place] as number] = as('spike');
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
  places: Int32Array,
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

/** Whether another sensor went anywhere between two places. */
function othersMoved(others: readonly Float64Array[], [from, to]: readonly [number, number]): boolean {
  return others.some((values) => {
    let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    for (let place = from; place <= to; place += 1) {
      const value = values[place] as number;
      if (!(value > COLDEST && value < HOTTEST)) continue;
      if (value < low) low = value;
      if (value > high) high = value;
    }
    return high - low > OTHER_MOVED;
  });
}

/**
 * What of a sensor's readings cannot be true, in this order: no number, codes of a broken sensor, beyond what concrete and
 * air can have, jumps of one or two rows, and a sensor that stands still for hours in the first day while others move.
 * @param hours of the rows
 * @param values °C of this sensor; NaN where none was written
 * @param others the other sensors of the record
 * Source: our choice.
 */
function findFaults(hours: Float64Array, values: Float64Array, others: readonly Float64Array[]): Faults {
  const faults = new Uint8Array(values.length);
  for (let index = 0; index < values.length; index += 1) {
    const value = values[index] as number;
    if (Number.isNaN(value)) faults[index] = as('no number');
    else if (value <= CODE_BELOW || value > CODE_ABOVE) faults[index] = as('code');
  }
  // What a digital sensor says just after it got its power, unless it is so hot there.
  const before = kept(faults);
  for (let at = 0; at < before.length; at += 1) {
    const place = before[at] as number;
    const value = values[place] as number;
    if (value === POWER_UP) {
      const beside = [before[at - 1], before[at + 1]].filter((each) => each !== undefined);
      if (beside.every((each) => Math.abs((values[each] as number) - POWER_UP) > POWER_UP_STEP))
        faults[place] = as('code');
    } else if (value < COLDEST || value > HOTTEST) faults[place] = as('beyond what can be');
  }
  spikes(hours, values, faults);
  const left = kept(faults);
  for (const stretch of stillFor(hours, values, left)) {
    if (!othersMoved(others, stretch)) continue;
    for (const place of left) if (place >= stretch[0] && place <= stretch[1]) faults[place] = as('stuck');
  }
  return faults;
}

/** What cannot be true of each sensor of a record, against all its others. @param hours of the rows */
export function faultsOfEach(hours: Float64Array, celsius: readonly Float64Array[]): Faults[] {
  return celsius.map((values, place) =>
    findFaults(
      hours,
      values,
      celsius.filter((_, other) => other !== place),
    ),
  );
}
