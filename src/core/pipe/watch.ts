import type { Limits } from '../limits';
import type { System } from '../quantity';
import { fitLine } from '../statistics/line';

/** What a pipe is watched with while it is loaded: loads in lbf or kN, rates in the same a minute. */
export interface PipeGoal {
  readonly turn: number;
  readonly design: number;
  readonly first: number;
  readonly second: number;
  readonly ultimate?: number;
}

/** Where a pipe is in its test. */
export type PipePhase = 'waiting' | 'first' | 'soon' | 'second' | 'design' | 'past' | 'falling' | 'ended';

export interface PipeView {
  readonly phase: PipePhase;
  /** Seconds since the load began to rise. */
  readonly seconds: number;
  readonly load: number;
  readonly peak: number;
  /** Rise over the last seconds, a minute. */
  readonly rate: number;
  /** What it may be now; null past the design load. */
  readonly most: number | null;
  readonly fast: boolean;
  /** Seconds to the next mark at the rate it has, or would have at the most where it stands still; null past them. */
  readonly toTurn: number | null;
  readonly toDesign: number | null;
}

type Point = readonly [seconds: number, load: number];

/** Load from which it counts as begun, share of the design load; and where one is told to get ready. Our choice. */
const BEGUN = 0.01;
const READY = 0.7 / 0.75;
/** How near to the design load counts as at it. */
const AT = 0.995;
const FALLEN = 0.9;

/** Follows a pipe as it is loaded: how fast, how fast it may, what comes next, and that it takes no more. */
export class PipeWatch {
  private beganAt: number | null = null;
  private recent: Point[] = [];
  private peak = 0;
  private downSince: number | null = null;
  private last: Point = [0, 0];
  private readonly over: number;
  private readonly allowed: number;
  private readonly down: number;

  constructor(
    private readonly goal: PipeGoal,
    limits: Limits,
    system: System,
  ) {
    this.over = limits.number('teb.window', system).toNumber();
    this.allowed = 1 + limits.number('teb.allowance', system).toNumber() / 100;
    this.down = limits.number('teb.down', system).toNumber();
  }

  take(seconds: number, load: number): void {
    this.last = [seconds, load];
    if (this.beganAt === null && load >= BEGUN * this.goal.design) this.beganAt = seconds;
    this.recent = [...this.recent.filter(([at]) => seconds - at <= this.over), [seconds, load]];
    this.peak = Math.max(this.peak, load);
    if (load >= FALLEN * this.peak) this.downSince = null;
    else if (this.downSince === null) this.downSince = seconds;
  }

  view(): PipeView {
    const [now, load] = this.last;
    const { turn, design, first, second } = this.goal;
    const slope = fitLine(this.recent.map(([x, y]) => ({ x, y })))?.slope ?? 0;
    const rate = this.beganAt === null ? 0 : Math.max(0, slope * 60);
    const phase = this.phaseAt(now, load);
    const most = load < turn ? first : this.peak < AT * design ? second : null;
    const way = (to: number, at: number): number => Math.max(0, ((to - load) / at) * 60);
    const pace = rate > 0.02 * first ? rate : null;
    const toTurn = load < turn ? way(turn, pace ?? first) : null;
    return {
      phase,
      seconds: this.beganAt === null ? 0 : Math.floor((now - this.beganAt) * 10 + 1e-6) / 10,
      load,
      peak: this.peak,
      rate,
      most,
      fast: most !== null && rate > most * this.allowed,
      toTurn,
      toDesign:
        this.peak >= AT * design
          ? null
          : toTurn === null
            ? way(design, Math.min(pace ?? second, second))
            : toTurn + ((design - turn) / second) * 60,
    };
  }

  private phaseAt(now: number, load: number): PipePhase {
    const { turn, design } = this.goal;
    if (this.beganAt === null) return 'waiting';
    if (this.downSince !== null && this.peak > turn)
      return now - this.downSince >= this.down ? 'ended' : 'falling';
    if (this.peak >= AT * design) return this.peak > design * (2 - AT) * 1.01 ? 'past' : 'design';
    return load >= turn ? 'second' : load >= READY * turn ? 'soon' : 'first';
  }
}
