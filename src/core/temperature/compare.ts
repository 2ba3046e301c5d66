import { median } from '../statistics/median';
import { firstFrom, temperatureAt } from './maturity-index';
import { between } from './spans';
import type { Moment, Series } from './types';

/** Our choices: hours, and correlations. They are the algorithm and go with its version. */
const GRID_H = 1 / 12;
const SLOPE_H = 1;
const MOST_LAG_H = 6;
const MATCHED = 0.8;
const DRIFTS_H = 1 / 6;
/**
 * A shift by a quarter of an hour has to fit so much worse, as a share of what does not fit anyway, or a half says nothing of
 * its clock: a curve that only cools has no place of its own.
 */
const SHARP_STEPS = 3;
const SHARP = 0.3;
const LEAST_H = 6;
/** Clocks are told by the first two weeks: later there is hardly a shape, and it takes long to look for one. */
const SHAPE_H = 336;
const SLOWEST_H = 2;
const SLOW_H = 0.25;
/** What is left unexplained has to become so much smaller before a sensor is called slow and not its clock late. */
const BETTER = 0.7;

/** How two sensors of one place stand to each other. Hours; temperatures °C. */
export interface Comparison {
  /** The second one's clock is ahead of the first one's by so many hours; null where their shapes do not fit. */
  readonly ahead: number | null;
  readonly correlation: number;
  /** The same of the first and second half; null where a half has no shape of its own. */
  readonly halves: readonly [number | null, number | null];
  /** The clocks go at different speeds: the halves differ by more than ten minutes. */
  readonly drifts: boolean;
  /** The second is a slow one: it answers with such a time constant, hours; negative where the first one is slower. */
  readonly slow: number | null;
  /** The second reads so much higher, by the median once the clocks are put together. */
  readonly bias: number;
  /** How the rest is spread about that, and the greatest difference. */
  readonly scatter: number;
  readonly greatest: number;
  /** The greatest difference before the clocks were put together. */
  readonly asStamped: number;
  readonly peaks: readonly [Moment, Moment];
}

interface Grid {
  readonly from: number;
  readonly values: Float64Array;
}

/** A series on even steps, by straight lines and only inside its rows. */
function onGrid(series: Series): Grid {
  const [first = 0, last = -1] = [series.hours[0], series.hours.at(-1)];
  const [from, to] = [Math.ceil(first / GRID_H - 1e-9), Math.floor(last / GRID_H + 1e-9)];
  const values = new Float64Array(Math.max(0, to - from + 1));
  let place = 0;
  for (let index = 0; index < values.length; index += 1) {
    const at = Math.min(Math.max((from + index) * GRID_H, first), last);
    while (place < series.hours.length - 2 && (series.hours[place + 1] as number) < at) place += 1;
    const [a, b] = [
      series.hours[place] as number,
      series.hours[place + 1] ?? (series.hours[place] as number),
    ];
    const [low, high] = [
      series.celsius[place] as number,
      series.celsius[place + 1] ?? (series.celsius[place] as number),
    ];
    values[index] = b > a ? low + ((high - low) * (at - a)) / (b - a) : low;
  }
  return { from, values };
}

/** Change over an hour at every step that has half an hour on both sides. */
function slopes({ from, values }: Grid): Grid {
  const half = Math.round(SLOPE_H / 2 / GRID_H);
  const found = new Float64Array(Math.max(0, values.length - 2 * half));
  for (let index = 0; index < found.length; index += 1)
    found[index] = ((values[index + 2 * half] as number) - (values[index] as number)) / SLOPE_H;
  return { from: from + half, values: found };
}

/** Correlation of two with the second one shifted; NaN where they have too little in common. */
function correlation(
  a: Grid,
  b: Grid,
  lag: number,
  from = Number.NEGATIVE_INFINITY,
  to = Number.POSITIVE_INFINITY,
): number {
  const first = Math.max(a.from, b.from - lag, from);
  const last = Math.min(a.from + a.values.length, b.from + b.values.length - lag, to);
  const count = last - first;
  if (count < LEAST_H / GRID_H / 2) return Number.NaN;
  let [sa, sb, aa, bb, ab] = [0, 0, 0, 0, 0];
  for (let index = first; index < last; index += 1) {
    const x = a.values[index - a.from] as number;
    const y = b.values[index + lag - b.from] as number;
    sa += x;
    sb += y;
    aa += x * x;
    bb += y * y;
    ab += x * y;
  }
  const spread = Math.sqrt((aa - (sa * sa) / count) * (bb - (sb * sb) / count));
  return spread > 1e-9 ? (ab - (sa * sb) / count) / spread : Number.NaN;
}

/** The shift at which two fit best, in hours, refined by a parabola. */
function bestLag(
  a: Grid,
  b: Grid,
  [from, to]: readonly [number, number] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY],
): { readonly lag: number; readonly correlation: number; readonly sharp: number } | null {
  const most = Math.round(MOST_LAG_H / GRID_H);
  const all: number[] = [];
  for (let lag = -most; lag <= most; lag += 1) all.push(correlation(a, b, lag, from, to));
  let best = -1;
  for (const [place, value] of all.entries())
    if (!Number.isNaN(value) && (best === -1 || value > (all[best] as number))) best = place;
  if (best === -1) return null;
  const [low, top, high] = [all[best - 1] ?? Number.NaN, all[best] as number, all[best + 1] ?? Number.NaN];
  const bend = low - 2 * top + high;
  const beside = Number.isNaN(bend) || bend >= 0 ? 0 : (low - high) / (2 * bend);
  const [before, after] = [all[best - SHARP_STEPS], all[best + SHARP_STEPS]];
  const sharp = top - Math.max(before ?? Number.NaN, after ?? Number.NaN);
  return { lag: (best - most + beside) * GRID_H, correlation: top, sharp };
}

/** What a sensor in a slow housing would say of it. */
function slowed({ from, values }: Grid, constant: number): Grid {
  const share = 1 - Math.exp(-GRID_H / constant);
  const found = new Float64Array(values.length);
  let now = values[0] ?? 0;
  for (let index = 0; index < values.length; index += 1) {
    now += share * ((values[index] as number) - now);
    found[index] = now;
  }
  return { from, values: found };
}

/** Means over an hour on both sides, so that the last digits of a coarse record count in neither way. */
function smooth({ from, values }: Grid): Grid {
  const half = Math.round(1 / GRID_H);
  const found = new Float64Array(Math.max(0, values.length - 2 * half));
  let sum = 0;
  for (let index = 0; index < values.length; index += 1) {
    sum += values[index] as number;
    if (index > 2 * half) sum -= values[index - 2 * half - 1] as number;
    if (index >= 2 * half) found[index - 2 * half] = sum / (2 * half + 1);
  }
  return { from: from + half, values: found };
}

/**
 * The time constant with which the second one follows the first better than by any shift of clocks; null where none does.
 */
function slownessOf(a: Grid, b: Grid): number | null {
  const follower = slopes(smooth(b));
  const shifted = bestLag(slopes(smooth(a)), follower);
  if (!shifted) return null;
  let best: { constant: number; fits: number } | null = null;
  for (let constant = GRID_H; constant <= SLOWEST_H + 1e-9; constant += GRID_H) {
    const fits = correlation(slopes(smooth(slowed(a, constant))), follower, 0);
    if (!Number.isNaN(fits) && (!best || fits > best.fits)) best = { constant, fits };
  }
  return best && best.constant > SLOW_H && 1 - best.fits < BETTER * (1 - shifted.correlation)
    ? best.constant
    : null;
}

function peakOf({ hours, celsius }: Series, from: number, to: number): Moment {
  const [first, last] = [firstFrom(hours, from), firstFrom(hours, to + 1e-9)];
  let top = first;
  for (let place = first; place < last; place += 1)
    if ((celsius[place] as number) > (celsius[top] as number)) top = place;
  return { at: hours[top] ?? from, celsius: celsius[top] ?? Number.NaN };
}

const shifted = (series: Series, by: number): Series => ({
  ...series,
  hours: series.hours.map((at) => at - by),
});

/** Differences of the second from the first at the rows of the second that the first reaches over. */
function differences(first: Series, second: Series): number[] {
  return second.hours.flatMap((at, place) => {
    const there = temperatureAt(first, at);
    return there === undefined ? [] : [(second.celsius[place] as number) - there];
  });
}

const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, Math.abs(b)), 0);

/**
 * Lays two records of one place over one another: first their clocks by the shape of their changes, then how much higher
 * the second reads.
 * @param first cleaned, hours on the common time as stamped
 * @param second likewise
 * @returns undefined where they have less than six hours in common
 * Source: our choice.
 */
export function compareSensors(first: Series, second: Series): Comparison | undefined {
  const overlap = (other: Series): readonly [number, number] => [
    Math.max(first.hours[0] ?? 0, other.hours[0] ?? 0),
    Math.min(first.hours.at(-1) ?? 0, other.hours.at(-1) ?? 0),
  ];
  const [from, to] = overlap(second);
  if (!(to - from >= LEAST_H)) return undefined;
  const shaped = (series: Series): Series => between(series, from - MOST_LAG_H, from + SHAPE_H);
  const [a, b] = [onGrid(shaped(first)), onGrid(shaped(second))];
  const [rateA, rateB] = [slopes(a), slopes(b)];
  const found = bestLag(rateA, rateB);
  // At the end of what was tried it would fit still better beyond: it does not fit.
  const matched =
    found !== null && found.correlation >= MATCHED && Math.abs(found.lag) < MOST_LAG_H - GRID_H / 2;
  const ahead = matched ? found.lag : null;
  const middle = Math.round((from + Math.min(to, from + SHAPE_H)) / 2 / GRID_H);
  const half = (range: readonly [number, number]): number | null => {
    const own = bestLag(rateA, rateB, range);
    const clear = own && own.correlation >= MATCHED && own.sharp >= SHARP * (1 - own.correlation);
    return clear ? own.lag : null;
  };
  const halves = [
    half([Number.NEGATIVE_INFINITY, middle]),
    half([middle, Number.POSITIVE_INFINITY]),
  ] as const;
  const together = shifted(second, ahead ?? 0);
  const off = differences(first, together);
  const bias = off.length > 0 ? median(off) : Number.NaN;
  const [begin, end] = overlap(together);
  const slow = matched ? slownessOf(a, b) : null;
  const back = matched && slow === null ? slownessOf(b, a) : null;
  return {
    ahead,
    correlation: found?.correlation ?? Number.NaN,
    halves,
    drifts: halves[0] !== null && halves[1] !== null && Math.abs(halves[1] - halves[0]) > DRIFTS_H,
    slow: slow ?? (back === null ? null : -back),
    bias,
    scatter: Math.sqrt(off.reduce((sum, each) => sum + (each - bias) ** 2, 0) / Math.max(1, off.length)),
    greatest: most(off),
    asStamped: most(differences(first, second)),
    peaks: [peakOf(first, begin, end), peakOf(together, begin, end)],
  };
}
