/** One reading as the watch takes it: seconds of the device, load and its held peak in the unit of the run. */
export interface PumpReading {
  readonly seconds: number;
  readonly load: number;
  readonly peak: number;
}

export interface PumpView {
  /** `waiting`: no load yet; `loading`; `broken`: it fell from its peak at once. */
  readonly phase: 'waiting' | 'loading' | 'broken';
  /** Seconds from the first load to now, or to the break; cut down to tenths. */
  readonly seconds: number;
  /** The peak that the indicator holds. */
  readonly peak: number;
  /** Jumps of the load: strokes that took. */
  readonly strokes: number;
}

/** Share of the greatest load that is left when a piece has split: a stroke settles by far less. Our choice. */
const FALLEN = 0.5;
/** A jump within this time is one stroke, s. */
const STROKE_S = 0.3;

/**
 * Follows a load that rises in jumps: when it begins, how long it takes, and that the piece has split.
 * @param least load from which it counts as begun, and the least jump of a stroke, in the unit of the run
 */
export class HandPumpWatch {
  private beganAt: number | null = null;
  private last: PumpReading | null = null;
  private greatest = 0;
  private greatestAt = 0;
  private brokenAt: number | null = null;
  private held = 0;
  private strokes = 0;
  private strokeAt = Number.NEGATIVE_INFINITY;
  private low = Number.POSITIVE_INFINITY;

  constructor(private readonly least: number) {}

  take(reading: PumpReading): void {
    if (this.brokenAt !== null) return;
    const { seconds, load, peak } = reading;
    this.last = reading;
    this.countStroke(seconds, load);
    if (this.beganAt === null) {
      if (load < this.least) return;
      this.beganAt = seconds;
    }
    this.held = Math.max(this.held, peak);
    if (load > this.greatest) [this.greatest, this.greatestAt] = [load, seconds];
    if (this.greatest >= 2 * this.least && load < FALLEN * this.greatest) this.brokenAt = this.greatestAt;
  }

  /** A stroke is a jump above the lowest since the one before had settled. */
  private countStroke(seconds: number, load: number): void {
    if (seconds - this.strokeAt <= STROKE_S) {
      this.low = Number.POSITIVE_INFINITY;
      return;
    }
    this.low = Math.min(this.low, load);
    if (load - this.low < this.least) return;
    this.strokes += 1;
    this.strokeAt = seconds;
  }

  view(): PumpView {
    const now = this.brokenAt ?? this.last?.seconds ?? 0;
    const seconds =
      this.beganAt === null ? 0 : Math.max(0, Math.floor((now - this.beganAt) * 10 + 1e-6) / 10);
    return {
      phase: this.brokenAt !== null ? 'broken' : this.beganAt === null ? 'waiting' : 'loading',
      seconds,
      peak: this.held,
      strokes: this.strokes,
    };
  }
}
