import { fitLine } from '../statistics';
import { type Features, findFeatures } from './features';
import { slopes } from './filters';
import { heatBetween } from './heat';
import type { HeatChannel, HeatRecord } from './record';

/** Hours between two points of a curve. */
export const GRID_H = 1 / 60;
/** A cell is opened and handled around the contact: so long before it no baseline is read, hours. */
const HANDLED_H = 1 / 12;
const SHORT_GAP_H = 0.25;

/** What the record of a cell is read with. All hours are of the record, but `from`. */
export interface CellAsked {
  /** Grams that power is told for. */
  readonly grams: number;
  /** Watts to a volt; wanted of a record in volts. */
  readonly watts?: number | undefined;
  /** When water met cement. */
  readonly contact: number;
  /** From when on it can be trusted, hours since then. */
  readonly from: number;
  /** From when on something inert stands in the cell again. */
  readonly inertFrom?: number | undefined;
  /** The baseline as it is typed, in the unit of the record: it goes before what the record says. */
  readonly before?: number | undefined;
  readonly after?: number | undefined;
  /** Seconds of the instrument’s own lag that are taken out; 0 for none. */
  readonly lag: number;
  /** How fast the cement reacts against 23 °C. */
  readonly faster: number;
}

/** A level with nothing in the cell that gives off heat, in the unit of the record. */
export interface Baseline {
  readonly level: number;
  /** In the middle of it, hours of the record. */
  readonly at: number;
  /** Hours that it was read over, and what it rose by in an hour; none of one that is typed. */
  readonly long: number;
  readonly drift: number;
}

export interface HeatCurve {
  /** Hours since water met cement of the first point. */
  readonly first: number;
  /** mW to a gram, a minute apart. */
  readonly power: Float64Array;
  /** Hours since then of the last point. */
  readonly until: number;
  /** What carries nothing for more than a quarter of an hour, hours since then; it is bridged by a straight line. */
  readonly gaps: readonly (readonly [from: number, to: number])[];
  readonly clipped: readonly (readonly [from: number, to: number])[];
  readonly before: Baseline | undefined;
  readonly after: Baseline | undefined;
  /** mW to a gram for one of the unit of the record. */
  readonly per: number;
  /** mW/g. */
  readonly noise: number;
  readonly features: Features | undefined;
  /** J/g between two ages; undefined where the curve does not reach that far. */
  heat(from: number, to: number): number | undefined;
}

function baselineOf(
  { hours }: HeatRecord,
  { values }: HeatChannel,
  from: number,
  to: number,
): Baseline | undefined {
  const points = hours.flatMap((x, place) => {
    const y = values[place];
    return x >= from && x <= to && typeof y === 'number' ? [{ x, y }] : [];
  });
  const [head, tail, line] = [points[0], points.at(-1), fitLine(points)];
  if (!head || !tail || !line || points.length < 3) return undefined;
  return { level: line.mean.y, at: line.mean.x, long: tail.x - head.x, drift: line.slope };
}

const curves = new WeakMap<HeatRecord, Map<string, HeatCurve | undefined>>();
const KEPT = 64;

/**
 * The curve of a cell out of its record: baseline taken off, watts out of volts, to a gram, lag taken out where asked, a minute
 * apart, its features found.
 * @returns undefined where the record has nothing behind the contact, or is in volts and no calibration is known
 */
export function heatCurve(record: HeatRecord, channel: HeatChannel, asked: CellAsked): HeatCurve | undefined {
  const known = curves.get(record) ?? new Map<string, HeatCurve | undefined>();
  curves.set(record, known);
  const key = JSON.stringify([record.channels.indexOf(channel), asked]);
  if (!known.has(key)) {
    // While somebody types a mass, every keystroke asks for another one.
    if (known.size >= KEPT) known.clear();
    known.set(key, curveOf(record, channel, asked));
  }
  return known.get(key);
}

function curveOf(record: HeatRecord, channel: HeatChannel, asked: CellAsked): HeatCurve | undefined {
  const { contact, grams, inertFrom, lag, faster, from } = asked;
  const watts = record.unit === 'mV' ? asked.watts : 1;
  if (!watts || !(grams > 0)) return undefined;
  const { hours } = record;
  const last = hours.at(-1) ?? 0;
  const before =
    asked.before === undefined
      ? baselineOf(record, channel, Number.NEGATIVE_INFINITY, contact - HANDLED_H)
      : { level: asked.before, at: contact, long: 0, drift: 0 };
  const after =
    asked.after === undefined
      ? inertFrom === undefined
        ? undefined
        : baselineOf(record, channel, inertFrom + HANDLED_H, Number.POSITIVE_INFINITY)
      : { level: asked.after, at: last, long: 0, drift: 0 };
  const level = (at: number): number => {
    if (!before || !after || after.at <= before.at) return (before ?? after)?.level ?? 0;
    return before.level + ((after.level - before.level) * (at - before.at)) / (after.at - before.at);
  };
  // mW, or mW/g as they came: only what is a power of a whole cell is divided by its grams.
  const per = record.unit === 'mW/g' ? 1 : watts / grams;
  const [times, powers]: [number[], number[]] = [[], []];
  const end = inertFrom === undefined ? Number.POSITIVE_INFINITY : inertFrom - HANDLED_H;
  for (let place = 0; place < hours.length; place += 1) {
    const at = hours[place] as number;
    const value = channel.values[place];
    if (at < contact - 1e-9 || at > end || typeof value !== 'number') continue;
    times.push(at - contact);
    powers.push((value - level(at)) * per);
  }
  if (times.length < 3) return undefined;
  const gaps = times.flatMap((at, place): [number, number][] => {
    const next = times[place + 1];
    return next !== undefined && next - at > SHORT_GAP_H + 1e-9 ? [[at, next]] : [];
  });
  const first = Math.ceil((times[0] as number) / GRID_H - 1e-6) * GRID_H;
  const until = times.at(-1) as number;
  const even = resampled(times, powers, first, Math.floor((until - first) / GRID_H + 1e-6) + 1);
  const slope = lag > 0 ? slopes(even, 2, GRID_H) : undefined;
  const power = slope ? even.map((each, place) => each + (lag / 3600) * (slope[place] as number)) : even;
  const noise = channel.noise * per;
  const wide = gaps.find(([a, b]) => b - a > 1);
  const found = findFeatures({ power, first, dt: GRID_H, from, faster, noise });
  return {
    first,
    power,
    until: first + (power.length - 1) * GRID_H,
    gaps,
    clipped: channel.clipped.map(([a, b]) => [a - contact, b - contact]),
    before,
    after,
    per,
    noise,
    // Over an hour without a reading before the maximum: what is found there was never seen.
    features: wide && found && wide[0] < found.main.at ? undefined : found,
    heat: (a, b) => heatBetween(power, first, GRID_H, a, b),
  };
}

function resampled(
  times: readonly number[],
  values: readonly number[],
  first: number,
  count: number,
): Float64Array {
  let place = 0;
  return Float64Array.from({ length: Math.max(count, 0) }, (_, step) => {
    const at = first + step * GRID_H;
    while (place < times.length - 2 && (times[place + 1] as number) < at) place += 1;
    const [a, b] = [times[place] as number, times[place + 1] ?? (times[place] as number)];
    const [from, to] = [values[place] as number, values[place + 1] ?? (values[place] as number)];
    return b > a ? from + ((to - from) * Math.min(Math.max(at - a, 0), b - a)) / (b - a) : from;
  });
}
