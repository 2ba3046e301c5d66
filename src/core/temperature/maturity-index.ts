import type { Series } from './types';

/**
 * How temperature over time becomes one number: temperature above a datum times time (°C·h), or the age at a reference
 * temperature that is worth as much (hours).
 */
export type MaturityFunction =
  | { readonly kind: 'nurse-saul' /** °C */; readonly datum: number }
  | { readonly kind: 'equivalent-age' /** K */; readonly q: number /** °C */; readonly reference: number }
  /** Temperature-adjusted age. */
  | { readonly kind: 'adjusted-age' };

export const KELVIN = 273.15;
/** J/(mol·K) */
export const GAS = 8.314;

/**
 * What an hour at a temperature is worth: hours at the reference temperature, or °C above the datum.
 * @param celsius of the concrete
 * Source: ASTM C1074 (from memory); EN 1992-1-1 (from memory), which is meant for 0 to 80 °C.
 */
export function worthOf(how: MaturityFunction, celsius: number): number {
  switch (how.kind) {
    case 'nurse-saul':
      return Math.max(0, celsius - how.datum);
    case 'equivalent-age':
      return Math.exp(-how.q * (1 / (celsius + KELVIN) - 1 / (how.reference + KELVIN)));
    case 'adjusted-age':
      return Math.exp(13.65 - 4000 / (KELVIN - 0.15 + celsius));
  }
}

/**
 * What a straight line from one temperature to another is worth.
 * @param hours that it takes
 */
export function segmentWorth(how: MaturityFunction, from: number, to: number, hours: number): number {
  if (how.kind !== 'nurse-saul') return worthOf(how, (from + to) / 2) * hours;
  const [a, b] = [from - how.datum, to - how.datum];
  if (a > 0 && b > 0) return ((a + b) / 2) * hours;
  if (a <= 0 && b <= 0) return 0;
  const above = Math.max(a, b);
  // It crosses the datum: what lies under it counts nothing and takes nothing away.
  return ((above * above) / (Math.abs(a) + Math.abs(b)) / 2) * hours;
}

/** Our choices, hours: over the shorter a straight line is as good as readings, over the longer nothing is known. */
const LINE_H = 2;
const LOST_H = 12;

/** A maturity index over time: at its hours, the best estimate, and what a decision may rest on. */
export interface IndexCurve {
  readonly hours: readonly number[];
  readonly best: readonly number[];
  readonly decision: readonly number[];
  /** Hours over which a line was drawn that a decision may not rest on, and over which nothing is known. */
  readonly drawn: number;
  readonly lost: number;
}

/** The temperature of a series at an hour by a straight line between its rows; undefined outside of them. */
export function temperatureAt({ hours, celsius }: Series, at: number): number | undefined {
  const after = firstFrom(hours, at);
  if (after >= hours.length) return undefined;
  const there = hours[after] as number;
  if (there === at) return celsius[after];
  if (after === 0) return undefined;
  const [from, low, high] = [
    hours[after - 1] as number,
    celsius[after - 1] as number,
    celsius[after] as number,
  ];
  return low + ((high - low) * (at - from)) / (there - from);
}

/** The first place of a rising list from a value on. */
export function firstFrom(rising: readonly number[], value: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((rising[middle] as number) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * The maturity index over a record, from an hour on. Over a gap of up to 2 hours a straight line is drawn; up to 12 hours
 * too, but a decision counts the lower end only; beyond, the index stands still, and a decision counts the lowest of both
 * ends and the air where that was recorded.
 * @param from hour of the record at which the concrete came round the sensor
 * @param air the record of the air beside it, on the same hours
 * Source: trapezoids as ASTM C1074 (from memory); gaps are our choice.
 */
export function indexCurve(series: Series, how: MaturityFunction, from: number, air?: Series): IndexCurve {
  const start = temperatureAt(series, from);
  const first = firstFrom(series.hours, from);
  const hours = start === undefined ? [] : [from];
  const celsius = start === undefined ? [] : [start];
  const broken = new Set(series.gaps);
  const gapAfter: boolean[] = start === undefined ? [] : [broken.has(first - 1)];
  for (let place = first; place < series.hours.length; place += 1) {
    if (series.hours[place] === hours.at(-1)) {
      gapAfter[hours.length - 1] = broken.has(place);
      continue;
    }
    hours.push(series.hours[place] as number);
    celsius.push(series.celsius[place] as number);
    gapAfter.push(broken.has(place));
  }
  const best = [0];
  const decision = [0];
  let [drawn, lost] = [0, 0];
  for (let place = 1; place < hours.length; place += 1) {
    const [a, b] = [celsius[place - 1] as number, celsius[place] as number];
    const over = (hours[place] as number) - (hours[place - 1] as number);
    const gap = gapAfter[place - 1] && over > LINE_H;
    const line = segmentWorth(how, a, b, over);
    const lowest = Math.min(a, b);
    let [sure, likely] = [line, line];
    if (gap && over <= LOST_H) {
      sure = worthOf(how, lowest) * over;
      drawn += over;
    } else if (gap) {
      likely = 0;
      lost += over;
      const least = air && lowestOf(air, hours[place - 1] as number, hours[place] as number);
      sure = least === undefined ? 0 : worthOf(how, Math.min(lowest, least)) * over;
    }
    best.push((best[place - 1] as number) + likely);
    decision.push((decision[place - 1] as number) + sure);
  }
  return hours.length === 0
    ? { hours: [], best: [], decision: [], drawn, lost }
    : { hours, best, decision, drawn, lost };
}

/**
 * What the hours before the first row of a record are worth, as if they had been at its temperature.
 * @param late hours that it began late
 * @param most hours that may be made up for so; more of them count nothing
 * Source: our choice.
 */
export function worthBefore(how: MaturityFunction, series: Series, late: number, most: number): number {
  return late > 0 && late <= most ? worthOf(how, series.celsius[0] ?? 0) * late : 0;
}

/** The lowest temperature of a record between two hours; undefined where it does not reach over both. */
function lowestOf(series: Series, from: number, to: number): number | undefined {
  const ends = [temperatureAt(series, from), temperatureAt(series, to)];
  if (ends[0] === undefined || ends[1] === undefined) return undefined;
  const inside = series.celsius.slice(firstFrom(series.hours, from), firstFrom(series.hours, to));
  return inside.reduce((a, b) => Math.min(a, b), Math.min(ends[0], ends[1]));
}

/** The index at an hour of its record; undefined before it begins and after its end. */
export function indexAt(
  { hours, best, decision }: IndexCurve,
  at: number,
): { best: number; decision: number } | undefined {
  const after = firstFrom(hours, at);
  if (after >= hours.length) return undefined;
  if (hours[after] === at) return { best: best[after] as number, decision: decision[after] as number };
  if (after === 0) return undefined;
  const share =
    (at - (hours[after - 1] as number)) / ((hours[after] as number) - (hours[after - 1] as number));
  const between = (of: readonly number[]): number =>
    (of[after - 1] as number) + ((of[after] as number) - (of[after - 1] as number)) * share;
  return { best: between(best), decision: between(decision) };
}
