import type { BendAnalysis } from './bend/types';
import type { CurvePoint } from './thin';

/** Version of the algorithm, kept with every analysis. */
export const ANALYSIS_VERSION = 3;

/** Percents: share of samples outside the band, and what the load can have risen between two samples. */
export interface LogCriteria {
  readonly share: { readonly remark: number; readonly review: number };
  readonly underRead: { readonly remark: number; readonly review: number };
}

/** What an analysis is made with. Loads in lbf and in², or kN and mm² with `stress` 1000; rates in psi/s or MPa/s. */
export interface LogRequest {
  readonly seconds: Float64Array;
  readonly load: Float64Array;
  readonly area: number;
  /** 1 for lbf over in² to psi; 1000 for kN over mm² to MPa. */
  readonly stress: number;
  /** The band of the rate in the judged part. */
  readonly low: number;
  readonly high: number;
  /** Shares of the peak between which the rate is told by a line through all readings; absent: by two points. */
  readonly judged?: { readonly from: number; readonly to: number } | undefined;
  /** Driven by its displacement: drops that recover are what the beam does, and no rate is kept. */
  readonly driven?: boolean | undefined;
  /** How the record is judged: percents from which a remark, and a review, is asked for. */
  readonly criteria: LogCriteria;
  /** The indicator's own peak, where it is known. */
  readonly register?: number | undefined;
}

/** A drop from a running maximum that the load recovered from. */
export interface Dip {
  readonly seconds: number;
  readonly load: number;
  /** Percent of the maximum before it. */
  readonly depth: number;
}

export interface Spike {
  readonly index: number;
  readonly was: number;
  readonly now: number;
}

export const LOG_TROUBLES = [
  'empty',
  'time not increasing',
  'clipped',
  'maximum not shown',
  'starts late',
  'gap',
  'not at zero',
  'too few for sliding rates',
] as const;
export type LogTrouble = (typeof LOG_TROUBLES)[number];

/** What a load log came to. Times in seconds of the log; null where it cannot be told. */
export interface LogAnalysis {
  readonly version: number;
  readonly rows: number;
  readonly troubles: readonly LogTrouble[];
  readonly peak: number;
  readonly peakAt: number;
  readonly startAt: number;
  readonly halfAt: number | null;
  readonly ninetyAt: number | null;
  /** Shares of the peak between which the rate is told, where they are not half and nine tenths. */
  readonly shares?: { readonly from: number; readonly to: number };
  /** Between which the rate is told. */
  readonly judgedFrom: number | null;
  readonly judgedTo: number | null;
  readonly meanRate: number | null;
  readonly slowest: number | null;
  readonly fastest: number | null;
  /** Samples judged by their sliding rate, and the percent of them outside the band. */
  readonly judged: number;
  readonly outside: number | null;
  readonly brokenAt: number | null;
  /** Percent of the peak that the load can have risen between two samples. */
  readonly underRead: number | null;
  readonly dips: readonly Dip[];
  readonly spikes: readonly Spike[];
  readonly verdict: 'valid' | 'remark' | 'review' | 'no result';
  /** What it says over its displacement, where a beam was bent by it. */
  readonly bend?: BendAnalysis & {
    readonly curve: readonly CurvePoint[];
    /** Of each part of the displacement, mm/min; absent where the record has no time. */
    readonly speeds?: readonly (number | null)[];
  };
}

/** The part of the load that the mean rate is told from, in words. */
export function ratePart({ shares }: Pick<LogAnalysis, 'shares'>): string {
  return shares ? `${Math.round(100 * shares.from)} to ${Math.round(100 * shares.to)} %` : 'half to 90 %';
}

/** Our choices: parts of the peak, windows in seconds, percents. */
const HALF = 0.5;
const NINETY = 0.9;
const CONTACT = 0.01;
const BROKEN = 0.95;
const HALF_WINDOW = 1;
const SPIKE = 1.03;
const DIP = 2;
const GAP = 5;
const CLIP_WINDOW = 1;
const CLIP_SHARE = 0.5;

const at = (values: Float64Array, index: number): number => values[index] ?? Number.NaN;

/**
 * Finds what a load log says of one test: start, half load, mean rate and share outside the band in the judged part,
 * peak and break.
 * @returns never throws; a log that allows no rates says why in `troubles`
 * Source: the band is ASTM C39/C39M (from memory); how a record is judged against it is our choice.
 */
export function analyseLog(request: LogRequest): LogAnalysis {
  const { seconds, area, stress, low, high } = request;
  const rows = seconds.length;
  const { load, spikes } = withoutSpikes(request.load);
  const { peak, peakIndex } = peakOf(load);
  const empty = rows < 2 || peak <= 0;
  const troubles: LogTrouble[] = [];
  const base = {
    version: ANALYSIS_VERSION,
    rows,
    peak: empty ? 0 : peak,
    peakAt: empty ? 0 : at(seconds, peakIndex),
    startAt: 0,
    halfAt: null,
    ninetyAt: null,
    judgedFrom: null,
    judgedTo: null,
    ...(request.judged ? { shares: request.judged } : {}),
    meanRate: null,
    slowest: null,
    fastest: null,
    judged: 0,
    outside: null,
    brokenAt: null,
    underRead: null,
    dips: [],
    spikes,
  };
  if (empty) return { ...base, troubles: ['empty'], verdict: 'no result' };
  if (!isIncreasing(seconds)) return { ...base, troubles: ['time not increasing'], verdict: 'no result' };
  const startIndex = firstAtLeast(load, CONTACT * peak, 0);
  const startAt = at(seconds, startIndex);
  const interval = medianInterval(seconds);
  const brokenIndex = breakOf(load, peak, peakIndex);
  const judged = request.judged ?? { from: HALF, to: NINETY };
  const late = at(load, 0) > judged.from * peak;
  const reaches = (share: number): number | null =>
    late ? null : crossing(seconds, load, share * peak, peakIndex);
  const [halfAt, ninetyAt] = [reaches(HALF), reaches(NINETY)];
  const [judgedFrom, judgedTo] = [reaches(judged.from), reaches(judged.to)];
  const rise = request.judged
    ? slopeBetween(seconds, load, judgedFrom, judgedTo)
    : judgedFrom !== null && judgedTo !== null && judgedTo > judgedFrom
      ? ((judged.to - judged.from) * peak) / (judgedTo - judgedFrom)
      : null;
  const meanRate = rise === null ? null : (rise / area) * stress;
  const sliding =
    judgedFrom !== null && judgedTo !== null
      ? slidingRates(seconds, load, judgedFrom, judgedTo, area / stress, low, high)
      : null;
  const dips = dipsOf(seconds, load, peak, peakIndex);
  const underRead = meanRate === null ? null : (100 * (meanRate / stress) * area * interval) / peak;
  if (isClipped(seconds, load, peak, meanRate === null ? null : (meanRate / stress) * area))
    troubles.push('clipped');
  if (brokenIndex === null) troubles.push('maximum not shown');
  if (late) troubles.push('starts late');
  if (hasGap(seconds, judgedFrom ?? startAt, brokenIndex === null ? rows - 1 : brokenIndex, interval))
    troubles.push('gap');
  if (isOffZero(load, startIndex, peak)) troubles.push('not at zero');
  if (sliding !== null && sliding.judged === 0) troubles.push('too few for sliding rates');
  const found = {
    ...base,
    startAt,
    halfAt,
    ninetyAt,
    judgedFrom,
    judgedTo,
    meanRate,
    slowest: sliding && sliding.judged > 0 ? sliding.slowest : null,
    fastest: sliding && sliding.judged > 0 ? sliding.fastest : null,
    judged: sliding?.judged ?? 0,
    outside: sliding && sliding.judged > 0 ? (100 * sliding.outside) / sliding.judged : null,
    brokenAt: brokenIndex === null ? null : at(seconds, brokenIndex),
    underRead,
    dips,
    troubles,
  };
  return { ...found, verdict: verdictOf(found, request) };
}

function verdictOf(found: Omit<LogAnalysis, 'verdict'>, request: LogRequest): LogAnalysis['verdict'] {
  const { troubles, meanRate, outside, underRead, dips } = found;
  const { low, high, criteria, driven } = request;
  const register = request.register !== undefined;
  if (troubles.includes('clipped') || (troubles.includes('maximum not shown') && !register))
    return 'no result';
  const offBand = meanRate !== null && (meanRate < low || meanRate > high);
  if (offBand || (outside ?? 0) > criteria.share.review) return 'review';
  if (!register && (underRead ?? 0) > criteria.underRead.review) return 'review';
  const remark =
    (outside ?? 0) > criteria.share.remark ||
    (!register && (underRead ?? 0) > criteria.underRead.remark) ||
    (!driven && dips.length > 0) ||
    troubles.some((each) => each === 'starts late' || each === 'gap' || each === 'not at zero');
  return remark ? 'remark' : 'valid';
}

/** Single samples that jump up and fall back at once, replaced by the mean of their neighbours. */
export function withoutSpikes(load: Float64Array): { load: Float64Array; spikes: Spike[] } {
  const { peak } = peakOf(load);
  const spikes: Spike[] = [];
  let cleaned = load;
  for (let index = 2; index < load.length - 1; index += 1) {
    const value = at(load, index);
    if (value <= HALF * peak) continue;
    const before = at(cleaned, index - 1);
    const after = at(load, index + 1);
    const steady = Math.abs(after - before) <= (SPIKE - 1) * before;
    if (value > SPIKE * Math.max(before, at(cleaned, index - 2)) && steady) {
      if (cleaned === load) cleaned = load.slice();
      const now = (before + after) / 2;
      cleaned[index] = now;
      spikes.push({ index, was: value, now });
    }
  }
  return { load: cleaned, spikes };
}

function peakOf(load: Float64Array): { peak: number; peakIndex: number } {
  let peakIndex = 0;
  let peak = load.length > 0 ? at(load, 0) : 0;
  for (let index = 1; index < load.length; index += 1) {
    if (at(load, index) > peak) {
      peak = at(load, index);
      peakIndex = index;
    }
  }
  return { peak, peakIndex };
}

function isIncreasing(seconds: Float64Array): boolean {
  for (let index = 1; index < seconds.length; index += 1) {
    if (!(at(seconds, index) > at(seconds, index - 1))) return false;
  }
  return true;
}

function firstAtLeast(load: Float64Array, least: number, from: number): number {
  let index = from;
  while (index < load.length - 1 && at(load, index) < least) index += 1;
  return index;
}

/** Median of the intervals, of an evenly taken thousand of them: it is a scale, not a result. */
function medianInterval(seconds: Float64Array): number {
  const step = Math.max(1, Math.floor(seconds.length / 1000));
  const some: number[] = [];
  for (let index = 1; index < seconds.length; index += step)
    some.push(at(seconds, index) - at(seconds, index - 1));
  some.sort((a, b) => a - b);
  return some[Math.floor(some.length / 2)] ?? 0;
}

/** The first upward crossing of a load before the peak, by straight lines; null when there is none. */
function crossing(
  seconds: Float64Array,
  load: Float64Array,
  level: number,
  peakIndex: number,
): number | null {
  for (let index = 1; index <= peakIndex; index += 1) {
    const [below, above] = [at(load, index - 1), at(load, index)];
    if (below < level && above >= level) {
      const [from, to] = [at(seconds, index - 1), at(seconds, index)];
      return from + ((level - below) / (above - below)) * (to - from);
    }
  }
  return null;
}

/** Least-squares slope of the load over time from one moment to another; null with fewer than three readings there. */
function slopeBetween(
  seconds: Float64Array,
  load: Float64Array,
  from: number | null,
  to: number | null,
): number | null {
  if (from === null || to === null) return null;
  let [n, st, sf, stt, stf] = [0, 0, 0, 0, 0];
  for (let index = 0; index < seconds.length; index += 1) {
    const t = at(seconds, index) - from;
    if (t < 0 || t > to - from) continue;
    const f = at(load, index);
    [n, st, sf, stt, stf] = [n + 1, st + t, sf + f, stt + t * t, stf + t * f];
  }
  const spread = n * stt - st * st;
  return n < 3 || spread <= 0 ? null : (n * stf - st * sf) / spread;
}

interface Sliding {
  readonly judged: number;
  readonly outside: number;
  readonly slowest: number;
  readonly fastest: number;
}

/**
 * Least-squares slopes over a second to either side of every sample of the judged part; running sums, one pass.
 * @param tell is told the rate at each judged sample
 */
export function slidingRates(
  seconds: Float64Array,
  load: Float64Array,
  halfAt: number,
  ninetyAt: number,
  area: number,
  low: number,
  high: number,
  tell?: (index: number, rate: number) => void,
): Sliding {
  const tolerance = 1e-9;
  const [first, last] = [halfAt + HALF_WINDOW, ninetyAt - HALF_WINDOW];
  let [from, to, n, st, sf, stt, stf] = [0, 0, 0, 0, 0, 0, 0];
  let [judged, outside, slowest, fastest] = [0, 0, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  // Times are counted from half load, so that their squares stay small.
  const add = (index: number, sign: 1 | -1): void => {
    const t = at(seconds, index) - halfAt;
    const f = at(load, index);
    n += sign;
    st += sign * t;
    sf += sign * f;
    stt += sign * t * t;
    stf += sign * t * f;
  };
  for (let index = 0; index < seconds.length; index += 1) {
    const now = at(seconds, index);
    if (now < first - tolerance) continue;
    if (now > last + tolerance) break;
    while (to < seconds.length && at(seconds, to) <= now + HALF_WINDOW + tolerance) {
      add(to, 1);
      to += 1;
    }
    while (at(seconds, from) < now - HALF_WINDOW - tolerance) {
      add(from, -1);
      from += 1;
    }
    const spread = n * stt - st * st;
    if (n < 3 || spread <= 0) continue;
    const rate = (n * stf - st * sf) / spread / area;
    judged += 1;
    tell?.(index, rate);
    if (rate < low || rate > high) outside += 1;
    if (rate < slowest) slowest = rate;
    if (rate > fastest) fastest = rate;
  }
  return { judged, outside, slowest, fastest };
}

/** The first sample after the peak below 95 % of it, with up to three more that stay below. */
function breakOf(load: Float64Array, peak: number, peakIndex: number): number | null {
  for (let index = peakIndex + 1; index < load.length; index += 1) {
    let stays = true;
    for (let next = index; next < Math.min(index + 4, load.length); next += 1) {
      if (at(load, next) >= BROKEN * peak) stays = false;
    }
    if (stays) return index;
  }
  return null;
}

/** Drops of two percent or more from a running maximum, above a tenth of the peak, that the load recovered from. */
function dipsOf(seconds: Float64Array, load: Float64Array, peak: number, peakIndex: number): Dip[] {
  const dips: Dip[] = [];
  let [top, topAt, lowest] = [0, 0, 0];
  for (let index = 0; index <= peakIndex; index += 1) {
    const value = at(load, index);
    if (value >= top) {
      const depth = top > 0 ? (100 * (top - lowest)) / top : 0;
      if (depth >= DIP && top > 0.1 * peak) dips.push({ seconds: topAt, load: top, depth });
      [top, topAt, lowest] = [value, at(seconds, index), value];
    } else if (value < lowest) lowest = value;
  }
  return dips;
}

/**
 * Three or more equal samples at the very top, which the load ran into at its full rate: the indicator could show no
 * more. A concrete that yields comes to its top slowly, and stands there for some equal samples by nature.
 */
function isClipped(seconds: Float64Array, load: Float64Array, peak: number, rise: number | null): boolean {
  const top = load.indexOf(peak);
  if (at(load, top + 1) !== peak || at(load, top + 2) !== peak) return false;
  if (rise === null) return true;
  let before = top;
  while (before > 0 && at(seconds, top) - at(seconds, before) < CLIP_WINDOW) before -= 1;
  const gained = peak - at(load, before);
  return gained > CLIP_SHARE * rise * (at(seconds, top) - at(seconds, before));
}

function hasGap(seconds: Float64Array, from: number, last: number, interval: number): boolean {
  for (let index = 1; index <= last; index += 1) {
    if (at(seconds, index) < from) continue;
    if (at(seconds, index) - at(seconds, index - 1) > GAP * interval) return true;
  }
  return false;
}

/** True when the indicator did not stand at zero before contact: more than half a percent of the peak. */
function isOffZero(load: Float64Array, startIndex: number, peak: number): boolean {
  if (startIndex < 3) return false;
  let sum = 0;
  for (let index = 0; index < startIndex; index += 1) sum += at(load, index);
  return Math.abs(sum / startIndex) > 0.005 * peak;
}
