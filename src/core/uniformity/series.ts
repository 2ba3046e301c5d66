import { groupBy } from '../group-by';
import type { Limits } from '../limits';
import { exact } from '../quantity';
import { fitLine } from '../statistics';
import { predictionAt } from '../statistics/prediction';
import { chartRules, chartsOf, type SeriesCharts } from './charts';
import { countsAs, type Decided } from './decisions';
import { type Pair, type Scatter, scatterOf } from './scatter';

/** What a sample of a source came to at one age. */
export interface SourceResult {
  readonly sampleId: string;
  readonly label: string;
  /** ms since 1970. */
  readonly sampledAt: number;
  readonly lotId: string;
  /** Who made it and out of which silo, as it is said. */
  readonly source: string;
  /** True for a second test of a sample, on another day: it tells the laboratory’s scatter, not the plant’s. */
  readonly again: boolean;
  /** Decimal text in the unit of the series; null while it is not broken. */
  readonly value: string | null;
  /** At the younger age; null where there is none. */
  readonly early: string | null;
  readonly decisions: readonly Decided[];
  /** Under what it was tested: technician, machine, lot of sand. */
  readonly day: Readonly<Record<string, string>>;
}

/** One result in its series. */
export interface PointOfSource extends SourceResult {
  readonly counts: 'in' | 'out' | 'anew';
  /** What was otherwise than with the result before: `sand S-12, before it S-11`. */
  readonly changed: readonly string[];
}

/** A result that is expected of one that is not old enough yet, from the younger age. */
export interface Expected {
  readonly sampleId: string;
  readonly label: string;
  readonly early: number;
  readonly expected: number;
  readonly low: number;
  readonly high: number;
  /** It is expected beyond the limits of single results: look now. */
  readonly look: boolean;
}

/** Results of one source that are compared with one another. */
export interface SeriesOfSource {
  readonly source: string;
  readonly points: readonly PointOfSource[];
  readonly scatter: Scatter | undefined;
  /** Undefined while the baseline is not full. */
  readonly charts: SeriesCharts | undefined;
  readonly expected: readonly Expected[];
}

/**
 * Results by source, each from its last new beginning back to the one before: the newest series of a source first.
 * @param results of one product at one age, in the order of sampling
 */
export function seriesOfSources(results: readonly SourceResult[], limits: Limits): SeriesOfSource[] {
  return [...groupBy(results, ({ source }) => source)].flatMap(([source, own]) => {
    const phases: SourceResult[][] = [];
    for (const result of own) {
      if (phases.length === 0 || (!result.again && countsAs(result.decisions) === 'anew')) phases.push([]);
      phases.at(-1)?.push(result);
    }
    return phases.map((phase) => seriesOf(source, phase, limits)).toReversed();
  });
}

function seriesOf(source: string, phase: readonly SourceResult[], limits: Limits): SeriesOfSource {
  const firsts = phase.filter(({ again }) => !again);
  const told = firsts.filter(({ value }) => value !== null);
  const points = told.map(
    (result, at): PointOfSource => ({
      ...result,
      counts: countsAs(result.decisions),
      changed: changedFrom(told[at - 1]?.day ?? result.day, result.day),
    }),
  );
  const values = told.map(({ value }) => Number(value));
  const out = new Set(points.flatMap(({ counts }, at) => (counts === 'out' ? [at] : [])));
  const charts = chartsOf(values, chartRules(limits), out);
  return {
    source,
    points,
    charts,
    scatter: scatterOf(
      points.flatMap(({ counts, value }) => (counts === 'out' ? [] : [exact(value ?? 0)])),
      pairsOf(phase),
      limits,
    ),
    expected: expectedOf(firsts, charts, limits),
  };
}

function changedFrom(before: SourceResult['day'], day: SourceResult['day']): string[] {
  return Object.entries(day).flatMap(([what, now]) => {
    const then = before[what];
    return then === undefined || then === now ? [] : [`${what} ${now}, before it ${then}`];
  });
}

/** Second tests with the sample of the same lot that was taken last before them. */
function pairsOf(phase: readonly SourceResult[]): Pair[] {
  return phase.flatMap(({ again, lotId, value }, at): Pair[] => {
    if (!again || value === null) return [];
    const first = phase.slice(0, at).findLast((each) => !each.again && each.lotId === lotId);
    return first?.value ? [[exact(first.value), exact(value)]] : [];
  });
}

/** Part of the results that come to lie within what is said of them. */
const WITHIN = 0.9;

/** What the younger age says of results that are not there yet, by a line through those that have both. */
function expectedOf(
  firsts: readonly SourceResult[],
  charts: SeriesCharts | undefined,
  limits: Limits,
): Expected[] {
  const both = firsts.flatMap(({ early, value }) =>
    early !== null && value !== null ? [{ x: Number(early), y: Number(value) }] : [],
  );
  if (both.length < limits.number('gain.shown', 'US').toNumber()) return [];
  const line = fitLine(both);
  if (!line) return [];
  return firsts.flatMap(({ early, value, sampleId, label }) => {
    if (early === null || value !== null) return [];
    const { expected, half } = predictionAt(line, both.length, Number(early), WITHIN);
    return [
      {
        ...{ sampleId, label, early: Number(early), expected, low: expected - half, high: expected + half },
        look: charts !== undefined && (expected < charts.single.low || expected > charts.single.high),
      },
    ];
  });
}
