import { Chance } from '../statistics';
import { Pace } from './pace';
import type { Levers, PressReading } from './reading';

/** A piece between the points of the frame, and how the pump takes it. */
export interface PlacedPiece {
  /** Load it splits at, kN. */
  readonly splits: number;
  /** What one stroke adds once the points grip, kN. */
  readonly stroke: number;
  /** Strokes until they grip. */
  readonly slack: number;
  /** Of a pipe: load at which it is the crack, kN, and where that is widest, mm from the spigot. */
  readonly opens?: number;
  readonly crackAt?: number;
}

/** The least time between two strokes of a hand, and how long one rises, s. */
const STROKE_S = 0.4;
const RISE_S = 0.15;
/** What a stroke shoots over by, share of itself, how fast that dies away, s, and what the valve lets by, share a second. */
const OVERSHOOT = 0.25;
const SETTLES_S = 0.08;
const LEAK = 0.004;
/** What the halves still carry, share of the load they split at. */
const REMAINDER = 0.01;
/** It has none of a press: its guard counts as shut. */
const NO_LEVERS: Levers = { pump: false, approach: false, fine: 0, door: true };
const DT = 0.001;
const RATE = 50;
const STEP = 0.01;
const NOISE = 0.004;

/**
 * A frame with a pump worked by hand: every stroke lifts the load by a jump that shoots over and settles, the valve leaks a
 * little between them, and the piece splits at once. Deterministic, in kilonewtons and seconds; a teaching model.
 * Source: our own model.
 */
export class HandPumpedFrame {
  private readonly pace: Pace;
  private force = 0;
  private over = 0;
  private rising = 0;
  private strokes = 0;
  private strokeAt = Number.NEGATIVE_INFINITY;
  private register = 0;
  private split = false;
  private piece: PlacedPiece | null = null;
  private readonly chance: Chance;

  constructor(
    seed: number,
    readonly rate: number = RATE,
  ) {
    this.chance = new Chance(seed);
    this.pace = new Pace(DT, rate);
  }

  /** True force between the points, kN. */
  get trueForce(): number {
    return this.force + this.over;
  }

  /** Puts a piece between the points: the valve is opened, the peak set back. */
  place(piece: PlacedPiece): void {
    this.piece = piece;
    this.split = false;
    this.strokes = 0;
    this.release();
    this.resetPeak();
  }

  resetPeak(): void {
    this.register = 0;
  }

  /** Opens the valve. */
  release(): void {
    [this.force, this.over, this.rising] = [0, 0, 0];
  }

  /** One stroke of the pump; a hand is no faster than its arm. @returns false for one that came too soon */
  stroke(): boolean {
    if (this.pace.time - this.strokeAt < STROKE_S) return false;
    this.strokeAt = this.pace.time;
    this.strokes += 1;
    if (this.piece && !this.split && this.strokes > this.piece.slack)
      this.rising += this.piece.stroke * (1 + 0.1 * this.chance.normal(0, 1));
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
    if (this.rising > 0) {
      const lift = Math.min(this.rising, ((this.piece?.stroke ?? 0) / RISE_S) * DT);
      this.rising -= lift;
      this.force += lift;
      this.over += OVERSHOOT * lift;
    }
    this.over -= (this.over / SETTLES_S) * DT;
    this.force -= LEAK * this.force * DT;
    if (this.piece && !this.split && this.trueForce >= this.piece.splits) {
      // The indicator holds what it split at, not what the next reading would have met.
      this.register = Math.max(this.register, stepped(this.piece.splits));
      this.split = true;
      [this.force, this.over, this.rising] = [REMAINDER * this.piece.splits, 0, 0];
    }
  }

  private read(): PressReading {
    const load = stepped(Math.max(0, this.trueForce + this.chance.normal(0, NOISE)));
    this.register = Math.max(this.register, load);
    return {
      ...NO_LEVERS,
      pump: this.rising > 0,
      t: Number(this.pace.time.toFixed(3)),
      load,
      unit: 'kN',
      peak: this.register,
      position: 0,
    };
  }
}

function stepped(load: number): number {
  return Number((STEP * Math.round(load / STEP)).toFixed(2));
}
