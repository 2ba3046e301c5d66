import { slopes, smoothed } from './filters';

/** What a curve of power is searched with. Its numbers are its version (`HEAT_VERSION`). */
export const HEAT_VERSION = 1;
/** Points on either side at 23 °C: for peaks, and for a shoulder. */
const PEAK_POINTS = 15;
const SHOULDER_POINTS = 45;
/** Least height above its surroundings, mW/g, and of a slope, mW/(g·h). */
const PROMINENT = 0.03;
const PROMINENT_SLOPE = 0.02;
/** Times the noise that a maximum has to stand out by. */
const OVER_NOISE = 5;
/** Hours at 23 °C around the main maximum in which others belong to it, and how high they are at the least. */
const AROUND = 15;
const HIGH_ENOUGH = 0.3;
const BEHIND = 0.5;

/** A place on the curve: hours since water met cement, mW/g. */
export interface Mark {
  readonly at: number;
  readonly power: number;
}

/** When power last passed shares of the maximum before it: of its height (`max`), and of its rise out of the induction. */
export interface Indicated {
  readonly share: number;
  readonly max: number | undefined;
  readonly rise: number | undefined;
}

export interface Features {
  /** The main maximum, that of the silicates in an ordinary cement. */
  readonly main: Mark;
  /** The bottom of the induction. */
  readonly lowest: Mark;
  /** Where power rises fastest, with its slope, mW/(g·h). */
  readonly steepest: { readonly at: number; readonly slope: number };
  /** Where the tangent at the steepest place meets the level of the lowest. */
  readonly inductionEnds: number;
  readonly indicated: readonly Indicated[];
  /** The second maximum, or a shoulder: the aluminate, in an ordinary cement. */
  readonly second: (Mark & { readonly kind: 'peak' | 'shoulder' }) | undefined;
  /** Where the sulfate is used up: the rise to the second begins. */
  readonly usedUp: number | undefined;
  /** A shoulder on the rise: which of the two came first, one curve alone does not say. */
  readonly unclear: Mark | undefined;
}

export interface Searched {
  /** mW to a gram, evenly spaced. */
  readonly power: Float64Array;
  /** Hours of the first of them since water met cement, and hours between two. */
  readonly first: number;
  readonly dt: number;
  /** From when on the curve can be trusted, h. */
  readonly from: number;
  /** How fast it reacts against 23 °C. */
  readonly faster: number;
  /** Noise of the curve, mW/g. */
  readonly noise?: number;
}

/** Shares at which a time is told. */
export const SHARES = [0.2, 0.5] as const;

/**
 * The height of each local maximum above the higher of the two lowest points met going left and right to a higher one.
 * @param from, to the places that are searched, both within
 */
function maxima(values: Float64Array, from: number, to: number): { at: number; prominence: number }[] {
  const found: { at: number; prominence: number }[] = [];
  for (let at = from + 1; at < to; at += 1) {
    const height = values[at] as number;
    if (!(height > (values[at - 1] as number) && height >= (values[at + 1] as number))) continue;
    const lowest = (step: number): number => {
      let low = height;
      for (let place = at + step; place >= from && place <= to; place += step) {
        const value = values[place] as number;
        if (value > height) break;
        if (value < low) low = value;
      }
      return low;
    };
    found.push({ at, prominence: height - Math.max(lowest(-1), lowest(1)) });
  }
  return found;
}

const most = <T>(of: readonly T[], by: (each: T) => number): T | undefined =>
  of.reduce<T | undefined>(
    (best, each) => (best === undefined || by(each) > by(best) ? each : best),
    undefined,
  );

/** The place of the greatest of some values within two places. */
function greatest(values: Float64Array, from: number, to: number, sign = 1): number {
  let best = from;
  for (let at = from; at <= to; at += 1)
    if (sign * (values[at] as number) > sign * (values[best] as number)) best = at;
  return best;
}

/**
 * Finds the periods of a curve of power: its main maximum, the induction before it, the steepest rise between them, times at
 * shares of the maximum, and what comes behind it.
 * @returns undefined where no maximum stands out
 * Source: our choice, held against curves whose truth is known; the times at a share of the maximum: ASTM C1679 (from memory).
 */
export function findFeatures(searched: Searched): Features | undefined {
  const { power, first, dt, from, faster, noise = 0 } = searched;
  const points = (at23: number): number => Math.max(1, Math.round(at23 / faster));
  const place = (hours: number): number =>
    Math.min(power.length - 1, Math.max(0, Math.round((hours - first) / dt)));
  const hours = (at: number): number => first + at * dt;
  const m = points(PEAK_POINTS);
  const smooth = smoothed(power, m);
  const slope = slopes(smooth, m, dt);
  const [begin, end] = [place(from), power.length - 1];
  if (end - begin < 2 * m) return undefined;
  const standing = maxima(smooth, begin, end).filter(
    ({ prominence }) => prominence >= Math.max(PROMINENT, OVER_NOISE * noise),
  );
  const tallest = most(standing, ({ prominence }) => prominence);
  if (!tallest) return undefined;
  const height = smooth[tallest.at] as number;
  const near = standing.filter(
    ({ at }) =>
      Math.abs(at - tallest.at) * dt <= AROUND / faster && (smooth[at] as number) >= HIGH_ENOUGH * height,
  );
  const mark = (at: number): Mark => ({ at: hours(at), power: smooth[at] as number });
  const S = (near[0] ?? tallest).at;
  const low = greatest(smooth, begin, S, -1);
  const steep = greatest(slope, low, S);
  const [lowPower, steepest] = [smooth[low] as number, slope[steep] as number];
  const [, other] = near;
  const behind = other ? undefined : shoulder(searched, S, { points, place, hours });
  const rising = risingShoulder(slope, low, S);
  return {
    main: mark(S),
    lowest: mark(low),
    steepest: { at: hours(steep), slope: steepest },
    inductionEnds: hours(steep) - ((smooth[steep] as number) - lowPower) / steepest,
    indicated: SHARES.map((share) => ({
      share,
      max: crossing(smooth, low, S, share * (smooth[S] as number), hours),
      rise: crossing(smooth, low, S, lowPower + share * ((smooth[S] as number) - lowPower), hours),
    })),
    second: other ? { ...mark(other.at), kind: 'peak' } : behind && { ...mark(behind.at), kind: 'shoulder' },
    usedUp: other ? hours(greatest(smooth, S, other.at, -1)) : behind && hours(behind.begins),
    unclear: rising === undefined ? undefined : mark(rising),
  };
}

/** The last time before the maximum that power came up through a level. */
function crossing(
  values: Float64Array,
  from: number,
  to: number,
  level: number,
  hours: (place: number) => number,
): number | undefined {
  for (let at = to; at > from; at -= 1) {
    const [a, b] = [values[at - 1] as number, values[at] as number];
    if (a < level && b >= level) return hours(at - 1 + (level - a) / (b - a));
  }
  return undefined;
}

interface Grid {
  points(at23: number): number;
  place(hours: number): number;
  hours(at: number): number;
}

/** A shoulder behind the main maximum: the slope comes up again, though power keeps falling. */
function shoulder(
  { power, dt, faster }: Searched,
  S: number,
  { points, place, hours }: Grid,
): { at: number; begins: number } | undefined {
  const m = points(SHOULDER_POINTS);
  const slope = slopes(smoothed(power, m), m, dt);
  const [from, to] = [place(hours(S) + BEHIND / faster), place(hours(S) + AROUND / faster)];
  if (to - from < 3) return undefined;
  const [best] = maxima(slope, from, to)
    .filter(({ prominence }) => prominence >= PROMINENT_SLOPE)
    .toSorted((a, b) => b.prominence - a.prominence);
  if (!best) return undefined;
  const bend = slopes(slope, m, dt);
  const steepBehind = greatest(slope, best.at, to, -1);
  const steepBefore = greatest(slope, from, best.at, -1);
  return { at: greatest(bend, best.at, steepBehind, -1), begins: greatest(bend, steepBefore, best.at) };
}

/** A dent of the slope on the way up: something else rises in front of the main maximum. */
function risingShoulder(slope: Float64Array, low: number, S: number): number | undefined {
  const turned = slope.map((each) => -each);
  return most(
    maxima(turned, low, S).filter(({ prominence }) => prominence >= PROMINENT_SLOPE),
    ({ prominence }) => prominence,
  )?.at;
}
