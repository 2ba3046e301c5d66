import { Chance } from '../statistics';
import { MODEL_CEMENT, type ModelCement, modelPower } from './model';

/** A cell of a simulated calorimeter: what stands in it, since when, and what is wrong with it. */
export interface SimulatedCell {
  readonly name: string;
  readonly cement: Partial<ModelCement>;
  /** Grams of binder in the vial. */
  readonly grams: number;
  /** Hours of the record at which water met cement, and minutes later that the vial was put in. */
  readonly contact: number;
  readonly insertedAfter: number;
  /** Hours of the record at which something inert was put in again. */
  readonly inertFrom?: number;
  /** mW with nothing in it, and what that rises by in an hour. */
  readonly level?: number;
  readonly drift?: number;
  /** °C that the vial was warmer than the bath when it was put in. */
  readonly warmer?: number;
  /** J/K that it is off its reference. */
  readonly off?: number;
}

/** What a simulated calorimeter is like. */
export interface CalorimeterMakeup {
  /** Seconds between its rows. */
  readonly interval: number;
  /** mW that each of its sensors reaches. */
  readonly range: number;
  /** Seconds of its own lag; 0 for none. */
  readonly lag: number;
  /** mW of white noise, and of noise that wanders. */
  readonly noise: number;
  readonly wanders: number;
  /** K and minutes of the ripple of its bath. */
  readonly ripple: number;
  readonly rippleEvery: number;
}

export const CALORIMETER: CalorimeterMakeup = {
  interval: 60,
  range: 80,
  lag: 0,
  noise: 0.03,
  wanders: 0.03,
  ripple: 0.002,
  rippleEvery: 14,
};

/** Time constant of a vial that comes to the temperature of the bath, s, and its heat capacity to a gram of cement, J/(g·K). */
const SETTLES_S = 540;
const CAPACITY = 2.84;
/** Part of the noise that wanders, kept from row to row. */
const KEPT = 0.98;

/** A row of it: seconds since its record began, and mW of each cell. */
export interface CalorimeterRow {
  readonly t: number;
  readonly power: readonly number[];
  readonly names: readonly string[];
  /** What its own clock showed, RFC 3339 in UTC. */
  readonly clock: string;
}

/**
 * A calorimeter of several cells that goes on recording. The same seed gives the same rows; a teaching model whose truth is known.
 * Source: our own model.
 */
export class SimulatedCalorimeter {
  private next = 0;
  private time: number;
  private readonly wandered: number[];
  private readonly lagged: number[];
  private readonly chance: Chance;

  /**
   * @param started instant of its first row, ms since the epoch
   * @param before seconds that are in its memory before anybody listens
   */
  constructor(
    seed: number,
    readonly cells: readonly SimulatedCell[],
    private readonly started: number,
    before: number,
    readonly makeup: CalorimeterMakeup = CALORIMETER,
  ) {
    this.chance = Chance.settled(seed);
    this.time = before;
    this.wandered = cells.map(() => 0);
    this.lagged = cells.map(({ level = 0 }) => level);
  }

  /** Rows of so many seconds more; the first call gives all that its memory holds. */
  run(seconds: number): CalorimeterRow[] {
    this.time += seconds;
    const rows: CalorimeterRow[] = [];
    for (; this.next * this.makeup.interval <= this.time; this.next += 1) rows.push(this.row(this.next));
    return rows;
  }

  private row(place: number): CalorimeterRow {
    const t = place * this.makeup.interval;
    return {
      t,
      power: this.cells.map((cell, which) => this.read(cell, which, t)),
      names: this.cells.map(({ name }) => name),
      clock: new Date(this.started + t * 1000).toISOString(),
    };
  }

  private read(cell: SimulatedCell, which: number, t: number): number {
    const { lag, interval, range, noise, wanders } = this.makeup;
    const truth = truePower(cell, t, this.makeup);
    const share = lag > 0 ? 1 - Math.exp(-interval / lag) : 1;
    const lagged = (this.lagged[which] as number) + share * (truth - (this.lagged[which] as number));
    this.lagged[which] = lagged;
    const wandered =
      KEPT * (this.wandered[which] as number) + wanders * Math.sqrt(1 - KEPT ** 2) * this.chance.normal(0, 1);
    this.wandered[which] = wandered;
    const shown = lagged + wandered + this.chance.normal(0, noise);
    return Number(Math.min(range, Math.max(-range, shown)).toFixed(4));
  }
}

/** What a cell gives off without noise and lag, mW. @param t seconds of the record */
function truePower(cell: SimulatedCell, t: number, { ripple, rippleEvery }: CalorimeterMakeup): number {
  const { grams, contact, insertedAfter, inertFrom, level = 0, drift = 0, warmer = 0, off = 0 } = cell;
  const hours = t / 3600;
  const base = level + drift * hours;
  const inside = t - contact * 3600 - insertedAfter * 60;
  if (inside < 0 || (inertFrom !== undefined && hours >= inertFrom)) return base;
  const settling = ((CAPACITY * warmer) / SETTLES_S) * 1000 * Math.exp(-inside / SETTLES_S);
  const turn = (2 * Math.PI * t) / (rippleEvery * 60);
  // What is off its reference follows the bath: dT/dt times J/K, in mW.
  const follows = off * ripple * ((2 * Math.PI) / (rippleEvery * 60)) * Math.cos(turn) * 1000;
  return (
    base + grams * (modelPower({ ...MODEL_CEMENT, ...cell.cement }, hours - contact) + settling) + follows
  );
}

/** The rows of a calorimeter as a file: its clock, and mW of each cell. */
export function calorimeterCsv(
  rows: readonly (Pick<CalorimeterRow, 'clock' | 'names'> & { readonly power: readonly (number | null)[] })[],
): string {
  const names = rows[0]?.names ?? [];
  return [
    ['time', ...names.map((name) => `${name} (mW)`)].join(','),
    ...rows.map(({ clock, power }) => [clock, ...power.map((each) => each ?? '')].join(',')),
  ].join('\n');
}
