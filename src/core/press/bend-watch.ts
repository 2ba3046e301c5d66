import { riseOver } from '../signals/rise';

/** One reading as a bend is watched: seconds of the device, load in the unit of the run, displacement in mm. */
export interface BentReading {
  readonly seconds: number;
  readonly load: number;
  readonly position: number;
  /** It is driven on, back, or stands; why it stopped, where the machine stopped by itself. */
  readonly running: boolean;
  readonly stop?: 'drop' | 'set' | undefined;
}

/** A part of the displacement and what it may be driven at, mm and mm/min. */
export interface DrivenSection {
  /** Where the part ends; null for the last one. */
  readonly to: number | null;
  readonly low: number;
  readonly high: number;
}

/** What a bend is watched with; loads in the unit of the run. */
export interface BendWatchRequest {
  /** Load at its first crack, probably; 0 where nothing is known. */
  readonly expected: number;
  readonly contact: number;
  /** Displacement is read on the beam itself: it begins at nought. */
  readonly own: boolean;
  readonly sections: readonly DrivenSection[];
  /** Displacement that the record has to reach, mm; null: until the beam is through. */
  readonly end: number | null;
  /** The lower of capacity and highest verified load, where it is known. */
  readonly most?: number | undefined;
}

export type BendPhase =
  | 'waiting'
  | 'seating'
  | 'rising'
  | 'cracked'
  | 'past the peak'
  | 'through'
  | 'far enough';

/** How a bend stands at the latest reading. */
export interface BendView {
  readonly phase: BendPhase;
  readonly load: number;
  readonly peak: number;
  /** Since the nose touched, mm; null before. */
  readonly displacement: number | null;
  /** Over the last seconds, mm/min; null until it can be told, and while it stands. */
  readonly speed: number | null;
  /** The part that it is in, and how the speed stands to it: -1 too slow, 1 too fast; null where it is not told. */
  readonly part: number | null;
  readonly off: -1 | 0 | 1 | null;
  /** The first fall that is no slip of the seat. */
  readonly crack: { readonly load: number; readonly at: number } | null;
  readonly stop: 'drop' | 'set' | null;
  readonly nearEnd: boolean;
}

const WINDOW = 3;
const CONTACT_ROW = 3;
/** Shares: of the expected load that is a load on the beam; of the load before it that is a fall; of the peak that is past it. */
const SEATED = 0.05;
const FALL = 0.03;
const PAST = 0.9;
const THROUGH = 0.2;
const CAPACITY = 0.95;
const REACH_MM = 0.1;
/** A fall from less than this share of what is expected is the seat. */
const SEAT = 0.2;

/**
 * Watches a bend reading by reading: contact, speed in its part, the first crack, the peak, the end. What it says is a help
 * while the machine runs; the record is read afterwards by `signals/bend`.
 * Source: our choice of what is a fall and of the end.
 */
export class BendWatch {
  private readonly recent: BentReading[] = [];
  private phase: BendPhase = 'waiting';
  private above = 0;
  private touched: number | null = null;
  private peak = 0;
  /** The highest load within a little displacement, from which a fall is told. */
  private top: { load: number; at: number } | null = null;
  private crack: BendView['crack'] = null;

  constructor(private readonly request: BendWatchRequest) {}

  /** Takes the next reading; one whose time does not go forward is left aside. */
  take(reading: BentReading): void {
    const last = this.recent.at(-1);
    if (last && reading.seconds <= last.seconds) return;
    this.recent.push(reading);
    while ((this.recent[0]?.seconds ?? 0) < reading.seconds - WINDOW) this.recent.shift();
    const { load, position } = reading;
    const { contact, expected, own, end } = this.request;
    if (this.touched === null) {
      this.above = load > contact ? this.above + 1 : 0;
      if (this.above < CONTACT_ROW) return;
      this.touched = own ? 0 : (this.recent.at(-CONTACT_ROW)?.position ?? position);
      this.phase = 'seating';
    }
    this.peak = Math.max(this.peak, load);
    const at = this.along(position);
    if (this.phase === 'seating' && load >= SEATED * expected) this.phase = 'rising';
    this.followFall(load, at);
    const begun = this.peak > Math.max(SEAT * expected, 2 * contact);
    if (begun && load < THROUGH * this.peak) this.phase = 'through';
    else if (end !== null && at >= end) this.phase = 'far enough';
    else if (begun && load < PAST * this.peak && at - (this.crack?.at ?? 0) > REACH_MM)
      this.phase = 'past the peak';
    else if (this.phase === 'past the peak') this.phase = 'cracked';
  }

  /** How it stands now. */
  view(): BendView {
    const last = this.recent.at(-1);
    const at = last && this.touched !== null ? this.along(last.position) : null;
    const speed = this.speedNow();
    const { sections, most } = this.request;
    const part = at === null ? -1 : sections.findIndex(({ to }) => to === null || at < to);
    const section = sections[part];
    return {
      phase: this.phase,
      load: last?.load ?? 0,
      peak: this.peak,
      displacement: at,
      speed,
      part: section ? part : null,
      off:
        !section || speed === null || !this.judged
          ? null
          : speed < section.low
            ? -1
            : speed > section.high
              ? 1
              : 0,
      crack: this.crack,
      stop: last?.stop ?? null,
      nearEnd: most !== undefined && (last?.load ?? 0) > CAPACITY * most,
    };
  }

  /** Displacement since contact, whichever way the machine counts it. */
  along(position: number): number {
    return Math.abs(position - (this.touched ?? position));
  }

  private get judged(): boolean {
    return this.phase !== 'waiting' && this.phase !== 'through' && this.phase !== 'far enough';
  }

  private followFall(load: number, at: number): void {
    if (!this.top || load >= this.top.load || at - this.top.at > REACH_MM) this.top = { load, at };
    const { contact, expected } = this.request;
    const fell = this.top.load - load;
    if (this.crack || fell < Math.max(FALL * this.top.load, contact)) return;
    if (this.top.load >= SEAT * expected) {
      this.crack = this.top;
      this.phase = 'cracked';
    }
    this.top = { load, at };
  }

  /** Rise of the displacement over the last seconds in which it was driven, mm/min. */
  private speedNow(): number | null {
    const last = this.recent.at(-1);
    if (!last?.running) return null;
    const since = this.recent.findLastIndex(({ running }) => !running) + 1;
    const driven = this.recent.slice(since);
    if (last.seconds - (driven[0]?.seconds ?? last.seconds) < WINDOW / 3) return null;
    const rise = riseOver(
      driven,
      ({ seconds }) => seconds,
      ({ position }) => position,
      WINDOW,
    );
    return rise === null ? null : 60 * Math.abs(rise);
  }
}
