import { type Exact, exact } from '../quantity';
import { Chance } from '../statistics';

/** One drawn place in the volume of a day. */
export interface Draw {
  /** Random number of the sublot, 0 up to 1. */
  readonly random: string;
  /** Place in the cumulative volume, in the unit of the volume. */
  readonly position: string;
}

/**
 * Draws one place at random in each of n equal parts of a volume; the same seed always draws the same places.
 * @param seed whole number, recorded with the plan
 * @param volume planned, yd³ or m³
 * @param given random numbers to use instead, from a table
 * Source: ASTM D3665 (from memory): position = (i − 1 + R) V / n.
 */
export function drawPositions(
  count: number,
  volume: Exact,
  seed: number,
  given: readonly string[] = [],
): Draw[] {
  const chance = Chance.settled(seed);
  return Array.from({ length: count }, (_, index) => {
    const own = chance.between(0, 1).toFixed(3);
    const random = exact(given[index] ?? own);
    return { random: random.toFixed(3), position: random.plus(index).times(volume).div(count).toFixed(2) };
  });
}

/**
 * The load a drawn place lies in: the first whose cumulative volume goes beyond it.
 * @param loads volumes in the order of the trucks
 * @returns index of the load; null while the place has not been reached
 */
export function loadAt(position: Exact, loads: readonly Exact[]): number | null {
  let sum = exact(0);
  for (const [index, volume] of loads.entries()) {
    sum = sum.plus(volume);
    if (sum.greaterThan(position)) return index;
  }
  return null;
}

/** How the drawn places stand while trucks come. */
export interface Target {
  readonly position: string;
  readonly random: string;
  /** Load it fell into, counted from 1; null while it is ahead. */
  readonly load: number | null;
  /** True when the next load will reach it, if it carries as much as the one before. */
  readonly next: boolean;
}

/** The targets of a day against the loads so far. Only the next is shown to the technician, one load ahead. */
export function targetsOf(draws: readonly Draw[], loads: readonly Exact[]): Target[] {
  const sum = loads.reduce((all, each) => all.plus(each), exact(0));
  const usual = loads.at(-1) ?? exact(0);
  return draws.map(({ position, random }) => {
    const at = exact(position);
    const load = loadAt(at, loads);
    return {
      position,
      random,
      load: load === null ? null : load + 1,
      next: load === null && sum.plus(usual.isZero() ? 10 : usual).greaterThan(at),
    };
  });
}
