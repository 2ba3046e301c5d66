import { Chance } from '../statistics';
import { curveOf, depthAt, FINAL_DEPTH, type SettingCurve, whenAt } from './setting';

/** What a needle with a line reads while it falls, and once it was let settle. */
export interface NeedleLine {
  readonly seq: number;
  /** Seconds of the device. */
  readonly t: number;
  /** mm that it went in, to half a millimetre. */
  readonly depth: number;
  /** Which fall of this ring it is, and whether its 30 s are over. */
  readonly fall: number;
  readonly settled: boolean;
  readonly at: number;
}

export const isNeedleLine = (value: Readonly<Record<string, unknown>>): boolean =>
  ['seq', 't', 'depth', 'fall', 'at'].every((name) => Number.isFinite(value[name])) &&
  typeof value.settled === 'boolean';

const RING = 40;
const INITIAL_DEPTH = 25;
/** Seconds until it is read, readings a second meanwhile, and how fast it goes in. */
const SETTLES_S = 30;
const RATE = 2;
const SINKS_S = 1.5;
/** mm that a fall lies beside the curve, and from which depth down it no longer does. */
const NOISE = 0.6;
const SURE_BELOW = 1;
/** A paste that sets about as most do, min; how much longer its final takes. */
const INITIAL = [95, 175] as const;
const FINAL = [1.7, 2.1] as const;

/**
 * A needle over a ring of paste whose set nobody is told. The same seed sets the same; a teaching model.
 * Source: our own model.
 */
export class SimulatedNeedle {
  private readonly chance: Chance;
  private time = 0;
  private curve: SettingCurve;
  /** Seconds of the device at which water met the cement of the ring under it. */
  private contact: number;
  private fall = 0;
  private released: number | null = null;
  private depth = 0;
  private shown = 0;
  private told = true;

  /**
   * @param begun minutes before now that the water of the first ring met its cement
   * @param sets when that ring sets, min; absent: as it may be
   */
  constructor(seed: number, begun: number, sets?: readonly [initial: number, final: number]) {
    this.chance = Chance.settled(seed);
    this.contact = -begun * 60;
    this.curve = sets ? curveOf(...sets, INITIAL_DEPTH, RING) : this.drawn();
  }

  /** When its ring sets, min: what a session is judged against. */
  get truth(): { readonly initial: number; readonly final: number } {
    const at = (depth: number): number => whenAt(this.curve, depth, RING);
    return { initial: at(INITIAL_DEPTH), final: at(FINAL_DEPTH) };
  }

  /** Another ring is put under it. @param minutes since water met its cement */
  ring(minutes: number): void {
    this.contact = this.time - minutes * 60;
    this.curve = this.drawn();
    this.fall = 0;
    this.released = null;
    this.told = true;
  }

  /** The needle is let go, at a fresh place. */
  drop(): void {
    const minutes = Math.max(1, (this.time - this.contact) / 60);
    const sunk = depthAt(this.curve, minutes, RING);
    const noise = NOISE * Math.min(1, Math.max(0, sunk - SURE_BELOW));
    this.depth = Math.min(RING, Math.max(0, sunk + this.chance.normal(0, noise)));
    this.released = this.time;
    this.shown = this.time;
    this.fall += 1;
    this.told = false;
  }

  /** What it reads in so many seconds more; nothing while no needle falls. */
  run(seconds: number): Omit<NeedleLine, 'seq' | 'at'>[] {
    this.time += seconds;
    const rows: Omit<NeedleLine, 'seq' | 'at'>[] = [];
    if (this.released === null) return rows;
    for (; !this.told && this.shown <= this.time; this.shown += 1 / RATE) {
      const since = this.shown - this.released;
      const settled = since >= SETTLES_S;
      const depth = this.depth * (1 - Math.exp(-since / (SINKS_S / 3)));
      rows.push({ t: this.shown, depth: Math.round(depth * 2) / 2, fall: this.fall, settled });
      if (settled) this.told = true;
    }
    return rows;
  }

  private drawn(): SettingCurve {
    const initial = this.chance.between(...INITIAL);
    return curveOf(initial, initial * this.chance.between(...FINAL), INITIAL_DEPTH, RING);
  }
}
