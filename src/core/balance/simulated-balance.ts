import { Chance } from '../statistics';
import type { BalanceReading, BalanceUnit } from './reading';

export interface BalanceMakeup {
  readonly unit: BalanceUnit;
  /** What it shows to, and the most that it weighs, in its unit. */
  readonly step: number;
  readonly capacity: number;
  /** Readings a second. */
  readonly rate: number;
}

/** A bench balance for units, and a fine one, by what they show. Our choice. */
export const BALANCES: Readonly<Record<BalanceUnit, BalanceMakeup>> = {
  lb: { unit: 'lb', step: 0.01, capacity: 66, rate: 10 },
  kg: { unit: 'kg', step: 0.005, capacity: 30, rate: 10 },
  g: { unit: 'g', step: 0.1, capacity: 6000, rate: 10 },
};

/** How fast it comes to rest, s, how much it trembles, steps, and how long it has to stand still to be steady, s. Our choice. */
const SETTLES_S = 0.3;
const TREMBLE = 0.15;
const STILL_S = 1;

/**
 * A balance: what is laid on it is shown after a moment, in its steps, and is steady once it stands still. Deterministic;
 * a teaching model.
 * Source: our own model.
 */
export class SimulatedBalance {
  private time = 0;
  private pan = 0;
  private shown = 0;
  private zero = 0;
  private next = 0;
  private same = { reading: 0, since: 0, held: false };
  private readonly chance: Chance;

  constructor(
    seed: number,
    readonly makeup: BalanceMakeup,
  ) {
    this.chance = new Chance(seed);
  }

  /** True while something lies on it. */
  get loaded(): boolean {
    return this.pan - this.zero > 10 * this.makeup.step;
  }

  /** Lays something on in place of what lay there; 0 takes it off. More than it weighs is shown as the most. */
  put(mass: number): void {
    this.pan = Math.min(this.zero + Math.max(0, mass), this.makeup.capacity);
  }

  /** Shows nought with what lies on it now, a hanger for example. */
  tare(): void {
    this.zero = this.pan;
  }

  /** Lets time pass, and gives the readings that fall into it. */
  run(seconds: number): BalanceReading[] {
    const readings: BalanceReading[] = [];
    const until = this.time + seconds;
    const every = 1 / this.makeup.rate;
    while (this.next <= until) {
      this.settle(this.next);
      this.next += every;
      readings.push(this.read());
    }
    this.settle(until);
    return readings;
  }

  private settle(until: number): void {
    this.shown += (this.pan - this.shown) * (1 - Math.exp(-(until - this.time) / SETTLES_S));
    this.time = until;
  }

  private read(): BalanceReading {
    const { step, unit } = this.makeup;
    const places = Math.max(0, Math.ceil(-Math.log10(step)));
    const trembled = this.shown - this.zero + this.chance.normal(0, TREMBLE) * step;
    const mass = Number((Math.round(trembled / step) * step).toFixed(places));
    // One step up and down is a tremble, more is a movement.
    if (Math.abs(mass - this.same.reading) > 1.5 * step)
      this.same = { reading: mass, since: this.time, held: false };
    const still = this.time - this.same.since >= STILL_S;
    // What it has come to when it is called steady stands until it moves again.
    if (still && !this.same.held) this.same = { ...this.same, reading: mass, held: true };
    return {
      t: Number(this.time.toFixed(3)),
      mass: still ? this.same.reading : mass,
      unit,
      steady: still,
      places,
    };
  }
}
