import { riseOver } from '../signals/rise';

/** One reading as it is watched: seconds of the device, load in the unit of the run. */
export interface WatchedReading {
  readonly seconds: number;
  readonly load: number;
  /** The fine knob, where the press tells it. */
  readonly fine?: number | undefined;
  /** Travel of the platen, mm, and whether the door is shut, where the press tells them. */
  readonly position?: number | undefined;
  readonly shut?: boolean | undefined;
  /** Stress that the indicator shows, MPa, and the load it goes with, kN. */
  readonly shown?: { readonly stress: number; readonly load: number } | undefined;
}

/** What a break is watched with; loads in lbf or kN, rates of load a second. */
export interface WatchRequest {
  /** Load the specimen will probably take. */
  readonly expected: number;
  /** The permitted band of the rate of load, in the part that counts. */
  readonly low: number;
  readonly high: number;
  /** Share of the expected load from which the band counts: 0.5, or 0 where it counts from the beginning. */
  readonly from: number;
  readonly pads: boolean;
  /** Least load that is a contact, from the indicator's step and range. */
  readonly contact: number;
  /** The lower of capacity and highest verified load, where it is known. */
  readonly most?: number | undefined;
  /** Travel from which the ram is near the end of what may be used, mm. */
  readonly travel?: number | undefined;
  /** True where the time from half of the maximum to the maximum is judged. */
  readonly halves?: boolean | undefined;
  /** Area of the specimen, mm²: what the indicator's own stress is held against. */
  readonly area?: number | undefined;
}

export type PressPhase =
  | 'idle'
  | 'contact'
  | 'first half'
  | 'second half'
  | 'near ultimate'
  | 'declining'
  | 'broken';

export type PressAlarm =
  | 'load near capacity'
  | 'end of stroke'
  | 'door open'
  | 'shock'
  | 'corner break possible'
  | 'expected load passed'
  | 'another area set';

/** How a break stands at the latest reading. */
export interface PressView {
  readonly phase: PressPhase;
  readonly load: number;
  readonly peak: number;
  readonly peakAt: number;
  /** Rate of load over the last two seconds; null until it can be told. */
  readonly rate: number | null;
  /** -1 below the band, 0 in it, 1 above; null where the band does not count. */
  readonly offBand: -1 | 0 | 1 | null;
  /** Percent of the judged readings outside the band so far; null before any. */
  readonly outside: number | null;
  /** Seconds, at the present rate, to the part that counts and to the expected load; null when not approaching. */
  readonly toBand: number | null;
  readonly toExpected: number | null;
  /** Seconds from half of the present load to now, after the peak to the peak; null where they are not judged. */
  readonly sinceHalf: number | null;
  /** The expected load as it is believed now: raised when the specimen has passed it. */
  readonly expected: number;
  readonly alarms: readonly PressAlarm[];
  /** Drops that the load recovered from. */
  readonly dips: readonly { readonly seconds: number; readonly load: number; readonly depth: number }[];
}

const HALF = 0.5;
const BROKEN = 0.95;
const DECLINING = 0.995;
const NEAR = 0.9;
const RATE_WINDOW = 2;
const SLOWING = 0.7;
const SHOCK = 10;
const SHOCK_WINDOW = 0.25;
const CONTACT_FOR = 0.5;
const SLOW_FOR = 3;
const MEAN_WINDOW = 10;
const RAISE_AT = 1.1;
const RAISE_TO = 1.25;
const CORNER = 0.8;
const FALLEN = 0.5;
const CAPACITY = 0.95;
const DIP = 2;
/** Share of the expected load that is a load on the specimen. */
const LOADED = 0.01;
/** Stress in MPa from which the indicator's own stress is checked, and how far it may be off. */
const CHECKED_FROM = 1;
const AREA_AGREES = 0.002;

/**
 * Watches a break reading by reading: phase, rate against the band, dips, the break. What it says is a help while the
 * load is on; the record is judged afterwards by the log's own analysis, with the true peak.
 * Source: no stop before the load has fallen below 95 % of the peak: ASTM C39/C39M (from memory); the rest our choice.
 */
export class PressWatch {
  private readonly recent: WatchedReading[] = [];
  private readonly rates: { seconds: number; rate: number }[] = [];
  /** Where the load was highest so far, time and again: the way up, without what it fell back. */
  private readonly climbed: { seconds: number; load: number }[] = [];
  private readonly dips: { seconds: number; load: number; depth: number }[] = [];
  private phase: PressPhase = 'idle';
  private expected: number;
  private peak = 0;
  private peakAt = 0;
  private lowest = 0;
  private contactSince: number | null = null;
  private declineSince: number | null = null;
  private slowSince: number | null = null;
  private knob: { fine: number; since: number } | null = null;
  private below = 0;
  private judged = 0;
  private outside = 0;
  private shocked = false;
  private raised = false;
  private corner = false;
  private otherArea = false;

  constructor(private readonly request: WatchRequest) {
    this.expected = request.expected;
  }

  /** Takes the next reading; one whose time does not go forward is left aside. */
  take(reading: WatchedReading): void {
    const last = this.recent.at(-1);
    if (last && reading.seconds <= last.seconds) return;
    this.recent.push(reading);
    while ((this.recent[0]?.seconds ?? Number.POSITIVE_INFINITY) < reading.seconds - MEAN_WINDOW)
      this.recent.shift();
    if (this.phase === 'broken') return;
    this.followKnob(reading);
    this.followArea(reading);
    this.followPeak(reading);
    const rate = this.slope(RATE_WINDOW);
    if (rate !== null) this.rates.push({ seconds: reading.seconds, rate });
    while ((this.rates[0]?.seconds ?? Number.POSITIVE_INFINITY) < reading.seconds - MEAN_WINDOW)
      this.rates.shift();
    this.move(reading, rate);
    this.score(reading, rate);
  }

  /** How it stands now. */
  view(): PressView {
    const last = this.recent.at(-1);
    const rate = this.slope(RATE_WINDOW);
    const load = last?.load ?? 0;
    const { low, high, from, most } = this.request;
    const loading = this.phase !== 'idle' && this.phase !== 'declining' && this.phase !== 'broken';
    const until = (goal: number): number | null =>
      loading && rate !== null && rate > 0 && load < goal ? (goal - load) / rate : null;
    const alarms: PressAlarm[] = [];
    if (most !== undefined && load > CAPACITY * most) alarms.push('load near capacity');
    const { travel } = this.request;
    if (travel !== undefined && last?.position !== undefined && last.position > travel && !this.over)
      alarms.push('end of stroke');
    if (last?.shut === false && load > LOADED * this.expected) alarms.push('door open');
    if (this.shocked) alarms.push('shock');
    if (this.corner) alarms.push('corner break possible');
    if (this.raised) alarms.push('expected load passed');
    if (this.otherArea) alarms.push('another area set');
    return {
      phase: this.phase,
      load,
      peak: this.peak,
      peakAt: this.peakAt,
      rate,
      offBand: !this.counts || rate === null ? null : rate < low ? -1 : rate > high ? 1 : 0,
      outside: this.judged === 0 ? null : (100 * this.outside) / this.judged,
      toBand: from > 0 ? until(from * this.expected) : null,
      toExpected: until(this.expected),
      sinceHalf: this.sinceHalf(),
      expected: this.expected,
      alarms,
      dips: this.dips,
    };
  }

  /** True where the band counts now. */
  private get counts(): boolean {
    return this.phase === 'second half' || (this.request.from === 0 && this.phase === 'first half');
  }

  private followKnob({ fine, seconds }: WatchedReading): void {
    if (fine === undefined) return;
    if (!this.knob || this.knob.fine !== fine) this.knob = { fine, since: seconds };
  }

  /** The test is over: where the ram stands does not matter any more. */
  private get over(): boolean {
    return this.phase === 'broken';
  }

  /** An area left from the specimen before shows in the indicator's own stress. */
  private followArea({ shown }: WatchedReading): void {
    const { area } = this.request;
    if (!shown || area === undefined || shown.load * 1000 < CHECKED_FROM * area) return;
    const own = (shown.stress * area) / 1000;
    this.otherArea = Math.abs(own - shown.load) > AREA_AGREES * shown.load;
  }

  private followPeak({ load, seconds }: WatchedReading): void {
    if (load >= this.peak) {
      const depth = this.peak > 0 ? (100 * (this.peak - this.lowest)) / this.peak : 0;
      if (depth >= DIP && this.peak > 0.1 * this.expected)
        this.dips.push({ seconds: this.peakAt, load: this.peak, depth });
      [this.peak, this.peakAt, this.lowest] = [load, seconds, load];
      if (this.request.halves) this.climbed.push({ seconds, load });
    } else if (load < this.lowest) this.lowest = load;
  }

  /** From where half of the peak was passed on the way up, by a straight line between the readings around it. */
  private sinceHalf(): number | null {
    const last = this.climbed.at(-1);
    if (!last || this.phase === 'idle' || this.phase === 'contact') return null;
    const half = last.load / 2;
    const above = this.climbed.findIndex(({ load }) => load >= half);
    const [one, two] = [this.climbed[above - 1], this.climbed[above]];
    if (!two) return null;
    const at =
      one && two.load > one.load
        ? one.seconds + ((two.seconds - one.seconds) * (half - one.load)) / (two.load - one.load)
        : two.seconds;
    return last.seconds - at;
  }

  private move({ load, seconds }: WatchedReading, rate: number | null): void {
    const { contact, from, pads } = this.request;
    const median = this.median();
    if (this.phase === 'idle') {
      if (median <= contact) this.contactSince = null;
      else this.contactSince ??= seconds;
      if (this.contactSince !== null && seconds - this.contactSince >= CONTACT_FOR) this.phase = 'contact';
    }
    if (this.phase === 'contact' && median >= 0.01 * this.expected) this.phase = 'first half';
    if (this.phase === 'first half' && median >= (from || HALF) * this.expected) this.phase = 'second half';
    if (this.phase === 'second half' && this.isNear(median, seconds, rate)) this.phase = 'near ultimate';
    if (median > RAISE_AT * this.expected) {
      this.expected = RAISE_TO * median;
      this.raised = true;
    }
    if (this.phase === 'idle' || this.phase === 'contact') return;
    const falling = median < DECLINING * this.peak && (this.slope(CONTACT_FOR) ?? 0) < 0;
    this.declineSince = falling ? (this.declineSince ?? seconds) : null;
    if (
      this.declineSince !== null &&
      seconds - this.declineSince >= CONTACT_FOR &&
      this.phase !== 'declining'
    )
      this.phase = 'declining';
    if (this.phase === 'declining' && load >= this.peak) this.phase = this.again();
    this.below = load < BROKEN * this.peak ? this.below + 1 : 0;
    const real = !pads || this.peak >= CORNER * this.expected || load < FALLEN * this.peak;
    this.corner = this.below >= 3 && !real;
    if (this.below >= 3 && real) this.phase = 'broken';
  }

  /** Where loading goes on after a drop that was no break. */
  private again(): PressPhase {
    return this.peak >= NEAR * this.expected
      ? 'near ultimate'
      : this.peak >= (this.request.from || HALF) * this.expected
        ? 'second half'
        : 'first half';
  }

  /** Close to the top: by the load, or by a rate that sinks while nobody touches the knob. */
  private isNear(load: number, seconds: number, rate: number | null): boolean {
    if (load >= NEAR * this.expected) return true;
    if (rate === null || this.rates.length < 2) return false;
    if (!this.knob || seconds - this.knob.since < MEAN_WINDOW) return false;
    const mean = this.rates.reduce((sum, each) => sum + each.rate, 0) / this.rates.length;
    if (rate >= SLOWING * mean) this.slowSince = null;
    else this.slowSince ??= seconds;
    return this.slowSince !== null && seconds - this.slowSince >= SLOW_FOR;
  }

  private score({ load }: WatchedReading, rate: number | null): void {
    const { low, high } = this.request;
    const target = (low + high) / 2;
    const sudden = this.slope(SHOCK_WINDOW * 2);
    if (sudden !== null && Number.isFinite(target) && sudden > SHOCK * target) this.shocked = true;
    if (!this.counts || load >= NEAR * this.expected || rate === null) return;
    this.judged += 1;
    if (rate < low || rate > high) this.outside += 1;
  }

  /** Median of the last three loads. */
  private median(): number {
    const some = this.recent.slice(-3).map(({ load }) => load);
    return some.toSorted((a, b) => a - b)[Math.floor(some.length / 2)] ?? 0;
  }

  /** Rise of the load over the last seconds; null for fewer than three readings in them. */
  private slope(window: number): number | null {
    return riseOver(
      this.recent,
      ({ seconds }) => seconds,
      ({ load }) => load,
      window,
    );
  }
}
