import { Chance } from '../statistics';
import type { PlacedPiece } from './hand-pumped';
import { Pace } from './pace';
import { type Pump, pressureAfter } from './pump';
import type { Levers, PressReading } from './reading';

/** One stroke of its handle: how long it takes, s, and how much of a whole one it is, 0 to 1. */
export interface Stroke {
  readonly seconds: number;
  readonly part: number;
}

/** The pump that ships: a small ram, hose and frame that give way, a little air. Our choice. */
export const PULL_PUMP: Pump = { ram: 600, gives: 60, air: 300, stroke: 150 };

const NO_LEVERS: Levers = { pump: false, approach: false, fine: 0, door: true };
const DT = 0.005;
const RATE = 20;
/** What its indicator shows, kN: its step, and how much it trembles. */
const STEP = 0.002;
const NOISE = 0.0008;
const LEAST_S = 0.3;

/**
 * A pull-off tester with a pump worked by hand: what a stroke pushes goes first into its air, so that it starts soft; then
 * the load rises as long as the handle moves and stands still where it turns. What it pulls on lets go at once and the
 * pointer holds the peak. Deterministic, in kilonewtons and seconds; a teaching model.
 * Source: our own model.
 */
export class PullTester {
  private readonly pace = new Pace(DT, RATE);
  private readonly chance: Chance;
  private volume = 0;
  private pushing: { left: number; rate: number } | null = null;
  private register = 0;
  private parted = false;
  private piece: PlacedPiece | null = null;

  constructor(
    seed: number,
    readonly pump: Pump = PULL_PUMP,
  ) {
    this.chance = new Chance(seed);
  }

  /** True force on the dolly, kN. */
  get trueForce(): number {
    return this.piece && !this.parted ? (pressureAfter(this.pump, this.volume) * this.pump.ram) / 1000 : 0;
  }

  /** Another dolly under it: the valve is opened, the pointer set back. */
  place(piece: PlacedPiece): void {
    this.piece = piece;
    this.parted = false;
    this.release();
    this.resetPeak();
  }

  resetPeak(): void {
    this.register = 0;
  }

  /** Opens the valve. */
  release(): void {
    this.volume = 0;
    this.pushing = null;
  }

  /** One stroke, after the one before has ended. @returns false while that one still goes on */
  stroke({ seconds, part }: Stroke): boolean {
    if (this.pushing) return false;
    const whole = Math.min(1, Math.max(0.01, part));
    this.pushing = {
      left: this.pump.stroke * whole,
      rate: this.pump.stroke / Math.max(LEAST_S, seconds),
    };
    return true;
  }

  /** Lets time pass, and gives the readings of the indicator that fall into it. */
  run(seconds: number): PressReading[] {
    return this.pace.run(
      seconds,
      () => this.step(),
      () => [this.read()],
    );
  }

  private step(): void {
    if (this.pushing) {
      const pushed = Math.min(this.pushing.left, this.pushing.rate * DT);
      this.volume += pushed;
      this.pushing.left -= pushed;
      if (this.pushing.left <= 1e-9) this.pushing = null;
    }
    if (this.piece && this.trueForce >= this.piece.splits) {
      this.register = Math.max(this.register, stepped(this.piece.splits));
      this.parted = true;
      this.release();
    }
  }

  private read(): PressReading {
    const load = stepped(Math.max(0, this.trueForce + this.chance.normal(0, NOISE)));
    this.register = Math.max(this.register, load);
    return {
      ...NO_LEVERS,
      pump: this.pushing !== null,
      t: Number(this.pace.time.toFixed(3)),
      load,
      unit: 'kN',
      peak: this.register,
      position: 0,
    };
  }
}

function stepped(load: number): number {
  return Number((STEP * Math.round(load / STEP)).toFixed(3));
}
