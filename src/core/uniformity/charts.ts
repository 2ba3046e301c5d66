import type { Limits } from '../limits';
import { exact, meanOf as exactMean } from '../quantity';

/** What charts are drawn by. */
export interface ChartRules {
  /** Results of the baseline. */
  readonly baseline: number;
  readonly lambda: number;
  /** Limits of the weighted mean, deviations. */
  readonly weighted: number;
  readonly slack: number;
  /** Sums that are looked at, and that signal, deviations. */
  readonly look: number;
  readonly sum: number;
}

export function chartRules(limits: Limits): ChartRules {
  const of = (id: 'baseline' | 'lambda' | 'weighted' | 'slack' | 'sum-look' | 'sum'): number =>
    limits.number(`uniformity.${id}`, 'US').toNumber();
  return {
    ...{ baseline: of('baseline'), lambda: of('lambda'), weighted: of('weighted') },
    ...{ slack: of('slack'), look: of('sum-look'), sum: of('sum') },
  };
}

/** Charts that see a change, by what each looks at. */
export const CHARTS = {
  single: 'single results',
  range: 'steps from one to the next',
  five: 'averages of five',
  weighted: 'weighted mean',
  sum: 'sums',
} as const;
export type ChartId = keyof typeof CHARTS;

/** A result with what each chart makes of it. */
export interface Charted {
  readonly value: number;
  /** From the result before; null of the first. */
  readonly range: number | null;
  /** Mean of the last five; null before the fifth. */
  readonly five: number | null;
  readonly weighted: { readonly value: number; readonly low: number; readonly high: number };
  /** Sums above and below, deviations. */
  readonly sums: { readonly up: number; readonly down: number };
  /** The charts that it is beyond the limits of. */
  readonly beyond: readonly ChartId[];
}

/** Charts of a series against its baseline, which is what its first results say and stays. */
export interface SeriesCharts {
  readonly centre: number;
  readonly meanRange: number;
  readonly deviation: number;
  readonly single: { readonly low: number; readonly high: number };
  readonly rangeHigh: number;
  readonly five: { readonly low: number; readonly high: number };
  /** The place of the last result that is in the baseline. */
  readonly until: number;
  readonly points: readonly Charted[];
}

/** d₂ and the factors of an individuals chart with moving ranges of two. Source: any handbook of control charts. */
const D2 = 1.128;
const SINGLES = 2.66;
const RANGES = 3.267;
const FIVE = 5;

/**
 * Charts of single results, averages of five, weighted means and sums, held to the baseline.
 * @param results one a sample in the order of sampling, one unit
 * @param out places in `results` that are left out of the baseline with an assigned cause; they are drawn all the same
 * @returns undefined while there are fewer results than the baseline wants, or they are all the same
 * Source: individuals, exponentially weighted and cumulative-sum charts, any handbook of control charts; the settings are
 * limits of the laboratory.
 */
export function chartsOf(
  results: readonly number[],
  rules: ChartRules,
  out: ReadonlySet<number> = new Set(),
): SeriesCharts | undefined {
  const places = [...results.keys()].filter((at) => !out.has(at)).slice(0, rules.baseline);
  const until = places.at(-1);
  if (places.length < rules.baseline || places.length < 2 || until === undefined) return undefined;
  const base = places.map((at) => results[at] ?? 0);
  const mean = (values: readonly number[]): number => exactMean(values.map(exact)).toNumber();
  const centre = mean(base);
  const meanRange = mean(base.slice(1).map((value, at) => Math.abs(value - (base[at] ?? value))));
  const deviation = meanRange / D2;
  if (deviation === 0) return undefined;
  const around = (half: number) => ({ low: centre - half, high: centre + half });
  const single = around(SINGLES * meanRange);
  const rangeHigh = RANGES * meanRange;
  const five = around((3 * deviation) / Math.sqrt(FIVE));
  const { lambda, slack } = rules;
  let weighted = centre;
  let up = 0;
  let down = 0;
  const points = results.map((value, at): Charted => {
    const before = results[at - 1];
    const range = before === undefined ? null : Math.abs(value - before);
    const average = at + 1 < FIVE ? null : mean(results.slice(at + 1 - FIVE, at + 1));
    weighted = lambda * value + (1 - lambda) * weighted;
    const half =
      rules.weighted * deviation * Math.sqrt((lambda / (2 - lambda)) * (1 - (1 - lambda) ** (2 * (at + 1))));
    const y = (value - centre) / deviation;
    up = Math.max(0, up + y - slack);
    down = Math.max(0, down - y - slack);
    const outside = (of: number | null, { low, high }: { low: number; high: number }): boolean =>
      of !== null && (of < low || of > high);
    const beyond = {
      single: outside(value, single),
      range: range !== null && range > rangeHigh,
      five: outside(average, five),
      weighted: outside(weighted, around(half)),
      sum: Math.max(up, down) > rules.sum,
    };
    return {
      ...{ value, range, five: average, weighted: { value: weighted, ...around(half) }, sums: { up, down } },
      beyond: (Object.keys(CHARTS) as ChartId[]).filter((id) => beyond[id]),
    };
  });
  return { centre, meanRange, deviation, single, rangeHigh, five, until, points };
}

/** Where each chart first signals from a place on; charts that never do are missing. @param from place in the series, from 0 */
export function firstSignals({ points }: SeriesCharts, from = 0): ReadonlyMap<ChartId, number> {
  const first = new Map<ChartId, number>();
  for (const [at, { beyond }] of points.entries())
    if (at >= from) for (const id of beyond) if (!first.has(id)) first.set(id, at);
  return first;
}

/**
 * A series as it would be had the source stepped at a place: to learn which chart sees it first.
 * @param step of the deviations of the baseline, up or down
 */
export function withStep(
  results: readonly number[],
  from: number,
  step: number,
  { deviation }: Pick<SeriesCharts, 'deviation'>,
): number[] {
  return results.map((value, at) => (at < from ? value : value + step * deviation));
}
