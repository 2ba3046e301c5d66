import { Chance } from '../statistics';
import type { PlacedPiece } from './hand-pumped';
import { Pace } from './pace';
import type { Levers, PipeCrack, PressReading } from './reading';

/** How wide a crack is at a place along the barrel, mm. */
export function widthAt({ wide, at, reach }: PipeCrack, place: number): number {
  return Math.max(0, wide * (1 - ((place - at) / reach) ** 2));
}

const DT = 0.01;
const RATE = 20;
const STEP = 0.05;
const NOISE = 0.03;
/** How soon the pump gives what it is set to, s. */
const LAG_S = 0.4;
/** What the valve lets by, share a second. */
const LEAK = 0.0002;
/** Where the first hairline shows, of the load at which it is the crack; what the pump still lifts from there on, and past the crack. */
const HAIRLINE = 0.78;
const SOFTER = [1, 0.8, 0.55] as const;
/** Past its end it falls so fast, share a second, to this share of its peak. */
const FALLS = 0.06;
const LEFT = 0.62;
/** The leaf of the gauge, mm, over this length of the barrel. */
const LEAF = 0.254;
const LONG = 304.8;
const REACH = 620;
/** It is wider by this power of the load. */
const POWER = 3;
const NO_LEVERS: Levers = { pump: false, approach: false, fine: 0, door: true };

/**
 * A frame that presses a pipe between three edges, its pump set to a rate. The pipe cracks, opens, gives way and at its end
 * takes no more; its crack is sent along, since nobody can look into a pipe that is not there. Deterministic, in kilonewtons
 * and seconds; a teaching model.
 * Source: our own model.
 */
export class PipePress {
  private readonly pace = new Pace(DT, RATE);
  private readonly chance: Chance;
  private load = 0;
  private flow = 0;
  private wanted = 0;
  private greatest = 0;
  private register = 0;
  private ended = false;
  private piece: PlacedPiece | null = null;

  constructor(seed: number) {
    this.chance = new Chance(seed);
  }

  get trueForce(): number {
    return this.load;
  }

  /** Another pipe: unloaded, the pointer set back. */
  place(piece: PlacedPiece): void {
    this.piece = piece;
    [this.load, this.flow, this.wanted, this.greatest] = [0, 0, 0, 0];
    this.ended = false;
    this.resetPeak();
  }

  resetPeak(): void {
    this.register = 0;
  }

  /** Sets the pump. @param rate kN/min; nothing holds */
  pump(rate: number): void {
    this.wanted = Math.max(0, rate) / 60;
  }

  /** Opens the valve: what has cracked stays cracked. */
  release(): void {
    [this.load, this.flow, this.wanted] = [0, 0, 0];
  }

  /** Its crack as wide as the greatest load has opened it; undefined before one shows. */
  get crack(): PipeCrack | undefined {
    const opens = this.opens;
    if (!this.piece || this.greatest < HAIRLINE * opens) return undefined;
    const whole = LEAF / (1 - (LONG / 2 / REACH) ** 2);
    return {
      wide: Number((whole * (this.greatest / opens) ** POWER).toFixed(3)),
      at: this.piece.crackAt ?? 1100,
      reach: REACH,
    };
  }

  private get opens(): number {
    return this.piece?.opens ?? 0.7 * (this.piece?.splits ?? 0);
  }

  /** Lets time pass, and gives the readings of the gauge that fall into it. */
  run(seconds: number): PressReading[] {
    return this.pace.run(
      seconds,
      () => this.step(),
      () => [this.read()],
    );
  }

  private step(): void {
    this.flow += ((this.wanted - this.flow) * DT) / LAG_S;
    if (!this.piece) return;
    if (this.ended) {
      const rest = LEFT * this.piece.splits;
      this.load =
        this.load > rest
          ? Math.max(rest, this.load * (1 - FALLS * DT))
          : Math.min(rest, this.load + this.flow * SOFTER[2] * DT);
      return;
    }
    const state = this.load >= this.opens ? 2 : this.load >= HAIRLINE * this.opens ? 1 : 0;
    this.load += (this.flow * SOFTER[state] - LEAK * this.load) * DT;
    this.greatest = Math.max(this.greatest, this.load);
    if (this.load < this.piece.splits) return;
    this.register = Math.max(this.register, stepped(this.piece.splits));
    this.ended = true;
  }

  private read(): PressReading {
    const load = stepped(Math.max(0, this.load + this.chance.normal(0, NOISE)));
    this.register = Math.max(this.register, load);
    const { crack } = this;
    return {
      ...NO_LEVERS,
      pump: this.wanted > 0,
      t: Number(this.pace.time.toFixed(3)),
      load,
      unit: 'kN',
      peak: this.register,
      position: 0,
      ...(crack ? { crack } : {}),
    };
  }
}

function stepped(load: number): number {
  return Number((STEP * Math.round(load / STEP)).toFixed(2));
}
