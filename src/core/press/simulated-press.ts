import { Chance } from '../statistics';
import { type ConcreteCurve, concreteCurve, strainAt, stressAt, tangentAt } from './concrete-curve';
import { Pace } from './pace';
import type { Levers, PressReading } from './reading';
import { loadIn } from './record';

/** How the ends meet the platens: what gives way before the concrete does. */
export type EndKind = 'pads' | 'bonded';

interface Seating {
  /** Give of the ends under a large load, mm, the load it builds up over, kN, and their stiffness, kN/mm. */
  readonly give: number;
  readonly over: number;
  readonly stiffness: number;
}

const SEATING: Readonly<Record<EndKind, Seating>> = {
  pads: { give: 3, over: 60, stiffness: 500 },
  bonded: { give: 0.1, over: 10, stiffness: 2000 },
};

/** What goes wrong in a simulated test, each at its own moment. */
export interface Mishaps {
  /** Share of the strength at which a corner breaks, and the share of the area that is left. */
  readonly corner?: { readonly at: number; readonly left: number };
  /** Share of the strength at which one reading jumps, and by how much of it. */
  readonly spike?: { readonly at: number; readonly by: number };
  /** Share of the strength from which the feed stands still, and for how long, s. */
  readonly freeze?: { readonly at: number; readonly seconds: number };
  /** Share of the strength from which every time stamp comes twice. */
  readonly repeatedStamps?: number;
  /** The indicator shows no more than this, kN. */
  readonly clip?: number;
  /** Share of the strength at which somebody switches the indicator to the other unit. */
  readonly unitSwitch?: number;
  /** Indicator off zero, kN, and its gain error as a ratio. */
  readonly zero?: number;
  readonly gain?: number;
  /** Where the peak register was left before the test, kN. */
  readonly peakLeft?: number;
  /** Share of the strength at which the door comes open. */
  readonly door?: number;
  /** The indicator sends only so many readings a second. */
  readonly sends?: number;
  /** The area that is set in the indicator, of the true one. */
  readonly areaSet?: number;
  /** The indicator creeps by itself, kN a minute. */
  readonly drift?: number;
}

/** A specimen on the platen of the simulated press. */
export interface PlacedSpecimen {
  /** MPa. */
  readonly strength: number;
  /** mm². */
  readonly area: number;
  /** mm, between the ends. */
  readonly length: number;
  readonly ends: EndKind;
  /** It breaks at once at its peak, as what is bent or split does. */
  readonly snaps?: true;
  /** The rate that its strength is given for, MPa/s; absent: that of a cylinder. */
  readonly usualRate?: number;
  /** Between the top of the specimen and the upper block with the ram down, mm. */
  readonly gap: number;
  readonly mishaps?: Mishaps;
}

export interface PressMakeup {
  /** mm/s at full flow, by the approach lever and by the fine knob. */
  readonly approachSpeed: number;
  readonly fineSpeed: number;
  /** Lag of the valve, of the frame and specimen, of the indicator, s. */
  readonly valveLag: number;
  readonly frameLag: number;
  readonly indicatorLag: number;
  /** Oil lost under load, mm/s per kN. */
  readonly leak: number;
  /** Frame and oil, kN/mm. */
  readonly stiffness: number;
  /** mm. */
  readonly stroke: number;
  /** Display step and noise of the indicator, kN. */
  readonly step: number;
  readonly noise: number;
  /** Readings a second. */
  readonly rate: number;
}

export const PRESS_MAKEUP: PressMakeup = {
  approachSpeed: 3,
  fineSpeed: 0.1,
  valveLag: 0.1,
  frameLag: 0.05,
  indicatorLag: 0.1,
  leak: 1e-5,
  stiffness: 400,
  stroke: 63.5,
  step: 0.05,
  noise: 0.02,
  rate: 20,
};

/** Load that the usual press ends at, kN. */
const USUAL_CAPACITY = 1780;

/** A smaller press is finer in everything: its pump, its indicator, its frame. @param capacity kN */
export function makeupOf(capacity: number): PressMakeup {
  const share = Math.min(1, capacity / USUAL_CAPACITY);
  const { fineSpeed, stiffness, step, noise } = PRESS_MAKEUP;
  return {
    ...PRESS_MAKEUP,
    fineSpeed: fineSpeed * share,
    stiffness: stiffness * share,
    step: Math.max(0.01, Math.round(step * share * 100) / 100),
    noise: noise * share,
  };
}

const DT = 0.0005;
const RELEASE = 3;
const REMAINDER = 0.02;
/** Where what is bent or split lets go, of its strength: before its curve bends over. */
const SNAPS_AT = 0.97;
/** Share of the strength that concrete gains for ten times the rate, from which share on, and up to which it grows. */
const RATE_GAIN = 0.08;
const RATE_FROM = 0.5;
const RATE_TO = 0.9;
/** 35 psi/s in MPa/s: the rate that the strength is given for. */
const RATE_USUAL = 0.2413;

/**
 * A hydraulic press with a specimen in it, in millimetres, kilonewtons and seconds. Deterministic: the same seed and
 * the same levers at the same times give the same readings. A teaching model, not a predictor of strength.
 * Source: our own model of pump, valve, frame, ends and concrete; the concrete's curve is a handbook relation.
 */
export class SimulatedPress {
  private readonly pace: Pace;
  private travel = 0;
  private speed = 0;
  private strain = 0;
  private widest = 0;
  private force = 0;
  private shown = 0;
  private register = 0;
  private area = 0;
  /** When the concrete came to half of its strength, and what its rate since then does to it. */
  private halfAt: number | null = null;
  private hurry = 1;
  private crushedAt: number | null = null;
  private frozenAt: number | null = null;
  private spiked = false;
  private cornered = false;
  private placedAt = 0;
  private sentAt = Number.NEGATIVE_INFINITY;
  private switched = false;
  private lastReading: PressReading | null = null;
  private curve: ConcreteCurve | null = null;
  private specimen: PlacedSpecimen | null = null;
  private readonly chance: Chance;
  levers: Levers = { pump: false, approach: false, fine: 0, door: false };

  constructor(
    seed: number,
    readonly makeup: PressMakeup = PRESS_MAKEUP,
  ) {
    this.chance = new Chance(seed);
    this.pace = new Pace(DT, makeup.rate);
  }

  private get time(): number {
    return this.pace.time;
  }

  /** True force on the specimen, kN: what the indicator tries to show. */
  get trueForce(): number {
    return this.force;
  }

  /** Puts a specimen in; the ram must be down and the old one out. The clock runs on. */
  place(specimen: PlacedSpecimen): void {
    this.specimen = specimen;
    this.curve = concreteCurve(specimen.strength);
    this.area = specimen.area;
    [this.travel, this.speed, this.strain, this.widest, this.force, this.shown] = [0, 0, 0, 0, 0, 0];
    [this.crushedAt, this.frozenAt, this.spiked, this.cornered, this.switched] = [
      null,
      null,
      false,
      false,
      false,
    ];
    [this.halfAt, this.hurry] = [null, 1];
    this.placedAt = this.time;
    this.register = specimen.mishaps?.peakLeft ?? 0;
    this.levers = { pump: false, approach: false, fine: 0, door: false };
  }

  /** Sets the peak register back. */
  resetPeak(): void {
    this.register = 0;
  }

  /** Lets time pass, and gives the readings of the indicator that fall into it. */
  run(seconds: number): PressReading[] {
    return this.pace.run(
      seconds,
      () => this.step(),
      () => this.read(),
    );
  }

  private step(): void {
    const { makeup, levers } = this;
    const wanted = levers.pump
      ? (levers.approach ? makeup.approachSpeed : 0) + levers.fine * makeup.fineSpeed
      : 0;
    this.speed += ((wanted - this.speed) / makeup.valveLag) * DT;
    const drift = levers.pump ? this.speed - makeup.leak * this.force : -RELEASE;
    this.travel = Math.min(makeup.stroke, Math.max(0, this.travel + drift * DT));
    this.carry();
    const { mishaps } = this.specimen ?? {};
    const crept = ((mishaps?.drift ?? 0) * (this.time - this.placedAt)) / 60;
    const seen = this.force * (1 + (mishaps?.gain ?? 0)) + (mishaps?.zero ?? 0) + crept;
    this.shown += ((seen - this.shown) / makeup.indicatorLag) * DT;
  }

  /** What the specimen carries where the platen stands: the frame, the ends and the concrete give way together. */
  private carry(): void {
    const { specimen, curve, makeup } = this;
    if (!specimen || !curve) return;
    const over = this.travel - specimen.gap;
    if (this.crushedAt !== null) {
      const left = Math.max(0, 1 - (this.time - this.crushedAt));
      this.force = over > 0 ? (REMAINDER * specimen.strength * specimen.area * left) / 1000 : 0;
      return;
    }
    const seat = SEATING[specimen.ends];
    const give = seat.give * (1 - Math.exp(-this.force / seat.over)) + this.force / seat.stiffness;
    const taken = give + this.force / makeup.stiffness + this.strain * specimen.length;
    this.strain = Math.max(0, this.strain + ((over - taken) / (makeup.frameLag * specimen.length)) * DT);
    let stress: number;
    if (this.strain >= this.widest) {
      this.widest = this.strain;
      stress = stressAt(curve, this.strain);
    } else {
      // Taken back, concrete follows its first slope down, not the way it came.
      stress = Math.max(0, stressAt(curve, this.widest) - curve.modulus * (this.widest - this.strain));
    }
    if (this.strain < curve.peakStrain) this.hasten(stress / curve.strength, curve.strength);
    this.force = (this.area * stress * this.hurry) / 1000;
    const { corner } = specimen.mishaps ?? {};
    if (corner && !this.cornered && this.strain < curve.peakStrain && stress >= corner.at * curve.strength) {
      this.cornered = true;
      this.area = specimen.area * corner.left;
    }
    const gone = specimen.snaps
      ? stress >= SNAPS_AT * curve.strength
      : this.widest > curve.peakStrain && stress < REMAINDER * curve.strength;
    if (gone) this.crushedAt = this.time;
  }

  /**
   * Concrete that is loaded faster carries more: the mean rate since half of its strength tells by how much. What is
   * gained comes in by degrees, since nothing of it is there before; near the top it stands.
   * Source: about 8 % for ten times the rate, handbook relation (from memory).
   */
  private hasten(share: number, strength: number): void {
    if (share < RATE_FROM || share > RATE_TO || this.strain < this.widest) return;
    this.halfAt ??= this.time;
    const rate = ((share - RATE_FROM) * strength) / Math.max(this.time - this.halfAt, DT);
    const grown = (share - RATE_FROM) / (RATE_TO - RATE_FROM);
    this.hurry =
      1 + grown * RATE_GAIN * Math.log10(Math.max(rate, 1e-4) / (this.specimen?.usualRate ?? RATE_USUAL));
  }

  private read(): PressReading[] {
    const { makeup, specimen } = this;
    const mishaps = specimen?.mishaps ?? {};
    const capacity = specimen ? (specimen.strength * specimen.area) / 1000 : Number.POSITIVE_INFINITY;
    const share = this.force / capacity;
    if (mishaps.freeze && share >= mishaps.freeze.at && this.frozenAt === null) this.frozenAt = this.time;
    if (this.frozenAt !== null && this.time - this.frozenAt < (mishaps.freeze?.seconds ?? 0)) return [];
    if (mishaps.door !== undefined && share >= mishaps.door && this.levers.door)
      this.levers = { ...this.levers, door: false };
    let value = this.shown + this.chance.normal(0, makeup.noise);
    if (mishaps.spike && !this.spiked && share >= mishaps.spike.at) {
      this.spiked = true;
      value += mishaps.spike.by * capacity;
    }
    if (mishaps.clip !== undefined) value = Math.min(value, mishaps.clip);
    const load = makeup.step * Math.round(value / makeup.step);
    this.register = Math.max(this.register, load);
    if (mishaps.sends && this.time - this.sentAt < 1 / mishaps.sends - DT) return [];
    this.sentAt = this.time;
    if (mishaps.unitSwitch !== undefined && share >= mishaps.unitSwitch) this.switched = true;
    const unit = this.switched ? 'lbf' : 'kN';
    const reading: PressReading = {
      ...this.levers,
      t: round(this.time, 4),
      load: round(loadIn(load, 'kN', unit), 4),
      unit,
      peak: round(loadIn(this.register, 'kN', unit), 4),
      ...(specimen ? { stress: round((1000 * load) / (specimen.area * (mishaps.areaSet ?? 1)), 4) } : {}),
      position: round(this.travel, 3),
    };
    const twice = mishaps.repeatedStamps !== undefined && share >= mishaps.repeatedStamps;
    const before = this.lastReading;
    this.lastReading = reading;
    return twice && before ? [{ ...reading, t: before.t }, reading] : [reading];
  }
}

/** Cleans a binary number to a few places. */
function round(value: number, places: number): number {
  return Number(value.toFixed(places));
}

/**
 * Speed of the platen that loads a specimen at a rate where it carries a share of its strength.
 * @param rate MPa/s
 * @returns mm/s
 */
export function speedForRate(
  specimen: PlacedSpecimen,
  rate: number,
  share: number,
  makeup: PressMakeup = PRESS_MAKEUP,
): number {
  const { area, length, strength } = specimen;
  const seat = SEATING[specimen.ends];
  const force = (share * strength * area) / 1000;
  const tangent = tangentAt(concreteCurve(strength), share);
  const give =
    (1000 * length) / (area * tangent) +
    1 / makeup.stiffness +
    (seat.give / seat.over) * Math.exp(-force / seat.over) +
    1 / seat.stiffness;
  return ((rate * area) / 1000) * give + makeup.leak * force;
}

/**
 * How far the ram goes from contact until a specimen carries a share of its strength.
 * @returns mm: the give of the ends, of frame and oil, and of the concrete
 */
export function travelTo(
  specimen: PlacedSpecimen,
  share: number,
  makeup: PressMakeup = PRESS_MAKEUP,
): number {
  const { area, length, strength } = specimen;
  const seat = SEATING[specimen.ends];
  const force = (share * strength * area) / 1000;
  const give = seat.give * (1 - Math.exp(-force / seat.over)) + force / seat.stiffness;
  return give + force / makeup.stiffness + strainAt(concreteCurve(strength), share) * length;
}
