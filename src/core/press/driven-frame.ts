import { Chance } from '../statistics';
import { Pace } from './pace';
import type { PressReading } from './reading';

/** What stands in a frame that is driven by its displacement. */
export interface PlacedBeam {
  /** Its own law: displacement, mm, and force, kN; displacements rise from nought. */
  readonly law: readonly (readonly [mm: number, force: number])[];
  /** What gives way beside it, kN/mm; absent where the frame is driven by a transducer on the specimen itself. */
  readonly frame?: number;
  /** Play of seats and rollers, and from the nose to the specimen, mm. */
  readonly toe: number;
  readonly gap: number;
  /** The seat slips once: at what force, kN, and by how much, mm. */
  readonly slip?: { readonly at: number; readonly by: number };
  /** It is pulled between grips: the crosshead goes up, and its travel is counted so. */
  readonly pulled?: true;
}

/** How the frame is driven. */
export interface Drive {
  readonly way: 'load' | 'hold' | 'back';
  /** mm/min. */
  readonly speed: number;
  /** As fast as it goes; down only until the nose is just clear of the specimen. */
  readonly fast: boolean;
  /** The door of the guard is shut: with it open nothing moves. */
  readonly guard: boolean;
  /** It stops by itself when the force has fallen by this share of its peak. */
  readonly dropAt?: number;
  /** It stops by itself so far from the touch, mm. */
  readonly endAt?: number;
}

export const DRIVE_OFF: Drive = { way: 'hold', speed: 1, fast: false, guard: false };

/** mm/min with nothing in the way, how far above the specimen that ends, mm, and what is a touch, kN. */
const FAST = 60;
const CLEAR = 0.05;
const TOUCH = 0.03;
/** How fast the spindles follow what is asked, s. */
const LAG = 0.05;
const DT = 0.002;
const STEP = 0.002;
const NOISE = 0.006;
const PLACE_STEP = 1e-4;
const TRAVEL = 120;
/** A fall counts from this share of the greatest force of the law on: the nose bounces as it touches. */
const COUNTS_FROM = 0.05;

/** Between the corners of a law; beyond its end what it ends with. */
function lawAt(law: PlacedBeam['law'], at: number): number {
  const next = law.findIndex(([mm]) => mm >= at);
  const [after, before] = [law[next], law[next - 1]];
  if (!after) return law.at(-1)?.[1] ?? 0;
  if (!before) return after[1];
  return before[1] + ((at - before[0]) / (after[0] - before[0])) * (after[1] - before[1]);
}

/**
 * A frame with spindles that is driven by its displacement, with a beam or a bar in it. A frame that is soft beside its
 * specimen lets it snap: what it has stored goes through at once. Deterministic, in millimetres, kilonewtons and seconds;
 * a teaching model.
 * Source: our own model.
 */
export class DrivenFrame {
  private readonly pace: Pace;
  private travel = 0;
  private speed = 0;
  /** Where the nose touched: from here on its end is counted. */
  private touchedAt: number | null = null;
  private force = 0;
  private peak = 0;
  private register = 0;
  /** How far the specimen was taken: of its own displacement, of what the crosshead did to it. */
  private own = 0;
  private farthest = 0;
  private slipped = 0;
  private stopped: PressReading['stop'];
  private specimen: PlacedBeam | null = null;
  /** Greatest force of its law, kN. */
  private most = 0;
  private wanted: Drive = DRIVE_OFF;
  private readonly chance: Chance;

  constructor(
    seed: number,
    readonly rate: number = 50,
  ) {
    this.chance = new Chance(seed);
    this.pace = new Pace(DT, rate);
  }

  /** True force on the specimen, kN. */
  get trueForce(): number {
    return this.force;
  }

  get drive(): Drive {
    return this.wanted;
  }

  /** Another order; what stopped it is forgotten as soon as it moves again, and a fall counts from there. */
  set drive(drive: Drive) {
    const stood = this.wanted.way === 'hold';
    this.wanted = drive;
    if (drive.way === 'hold') return;
    this.stopped = undefined;
    if (stood) this.peak = 0;
  }

  /** Puts a specimen in: crosshead up, displacement and peak at nought. */
  place(specimen: PlacedBeam): void {
    this.specimen = specimen;
    this.most = Math.max(...specimen.law.map(([, force]) => force));
    [this.travel, this.speed, this.force, this.peak, this.touchedAt] = [0, 0, 0, 0, null];
    [this.own, this.farthest, this.slipped] = [0, 0, 0];
    this.stopped = undefined;
    this.wanted = DRIVE_OFF;
    this.resetPeak();
  }

  resetPeak(): void {
    this.register = 0;
  }

  /** Lets time pass, and gives the readings that fall into it. */
  run(seconds: number): PressReading[] {
    return this.pace.run(
      seconds,
      () => this.step(),
      () => [this.read()],
    );
  }

  /** The displacement that is driven by: of the specimen itself, or of the crosshead. */
  private get displacement(): number {
    return this.specimen && this.specimen.frame === undefined
      ? this.seated(this.travel - this.specimen.gap)
      : this.travel;
  }

  private step(): void {
    const { way, speed, fast, guard, dropAt, endAt } = this.wanted;
    const asked = way === 'hold' || !guard ? 0 : ((fast ? FAST : speed) / 60) * (way === 'back' ? -1 : 1);
    this.speed += ((asked - this.speed) / LAG) * DT;
    if (asked === 0 && Math.abs(this.speed) < 1e-6) this.speed = 0;
    this.travel = Math.min(TRAVEL, Math.max(0, this.travel + this.speed * DT));
    this.carry();
    if (this.force > TOUCH) this.touchedAt ??= this.displacement;
    if (fast && way === 'load' && this.travel > (this.specimen?.gap ?? TRAVEL) - CLEAR) {
      // A person's eye does it at a real one.
      this.speed = 0;
      this.wanted = { ...this.wanted, way: 'hold', fast: false };
    }
    if (way !== 'load' || fast) return;
    this.peak = Math.max(this.peak, this.force);
    if (dropAt !== undefined && this.peak > COUNTS_FROM * this.most && this.force < (1 - dropAt) * this.peak)
      this.stop('drop');
    else if (endAt !== undefined && this.touchedAt !== null && this.displacement - this.touchedAt >= endAt)
      this.stop('set');
  }

  private stop(why: NonNullable<PressReading['stop']>): void {
    this.wanted = { ...this.wanted, way: 'hold' };
    this.speed = 0;
    this.stopped = why;
  }

  /** What the crosshead does to the specimen, once seats and rollers have found their place. */
  private seated(way: number): number {
    const toe = this.specimen?.toe ?? 0;
    if (way <= 0) return 0;
    return (way < toe ? way ** 2 / (2 * toe) : way - toe / 2) - this.slipped;
  }

  private carry(): void {
    const { specimen } = this;
    if (!specimen) return;
    const { law, frame, gap, slip } = specimen;
    const taken = this.seated(this.travel - gap);
    const give = (at: number): number => (frame === undefined ? at : at + lawAt(law, at) / frame);
    if (taken >= this.farthest) {
      // Where frame and specimen together have come: past a fall that is steeper than the frame it goes on at once.
      const fine = 2e-5;
      while (give(this.own) < taken) this.own += fine;
      this.farthest = taken;
      this.force = lawAt(law, this.own);
      if (slip && this.slipped === 0 && this.force >= slip.at) {
        // Before its crack it goes back the way it came, as far as the seat gave way.
        this.own *= Math.max(0, 1 - slip.by / taken);
        this.slipped = slip.by;
        this.farthest = taken - slip.by;
        this.force = lawAt(law, this.own);
      }
      return;
    }
    // Taken back it follows a straight line, not the way it came.
    const first = law[1] ?? [1, 0];
    const stiff = 1 / (first[0] / first[1] + (frame === undefined ? 0 : 1 / frame));
    this.force = Math.max(0, lawAt(law, this.own) - stiff * (this.farthest - taken));
  }

  private read(): PressReading {
    const load = stepped(this.force + this.chance.normal(0, NOISE), STEP);
    this.register = Math.max(this.register, load);
    const { way, fast, guard, speed } = this.wanted;
    const away = this.specimen?.pulled ? -1 : 1;
    return {
      pump: way !== 'hold' && guard,
      approach: fast,
      fine: 0,
      door: guard,
      t: Number(this.pace.time.toFixed(3)),
      load,
      unit: 'kN',
      peak: this.register,
      position: stepped(away * this.displacement, PLACE_STEP),
      speed,
      ...(this.stopped ? { stop: this.stopped } : {}),
    };
  }
}

function stepped(value: number, step: number): number {
  return Number((step * Math.round(value / step)).toFixed(4));
}
