import type { Limits } from '../limits';
import {
  type Exact,
  exact,
  plainOf,
  type RoundingMode,
  roundTo,
  type System,
  type UnitId,
} from '../quantity';
import { plain } from '../working';
import { criteriaOf } from './criteria';
import { type Criterion, looksAtSeveral, rowOf, type Verdict, type VerdictState } from './criterion';
import { type EvaluateAbout, evaluate, governingOf, limitOf, summarise } from './evaluate';
import type { SeriesRule } from './series-rule';

/** One strength test in a mix's series, or its place while it is not broken yet. */
export interface SeriesPoint {
  readonly id: string;
  readonly label: string;
  /** Sampling instant, ms: the series is in this order, never by date of break or report. */
  readonly sampledAt: number;
  /** Reported strength, decimal text; null while pending or without a valid result. */
  readonly value: string | null;
  readonly state: 'tested' | 'pending' | 'no valid result';
  /** Why an engineer must say whether it counts; empty when it simply counts. */
  readonly engineer: readonly string[];
  /** The lot that it is of, where the series is judged lot by lot. */
  readonly lot?: string;
}

/** A verdict as it is known after it was decided: without its working. */
export type Decided = Omit<Verdict, 'lines' | 'knifeEdge'>;

export interface SeriesVerdicts<V extends Decided = Verdict> {
  readonly unit: UnitId;
  readonly specified: string;
  readonly individualLimit: string;
  /** What each criterion asks, by its id, with its unit. */
  readonly limits: Readonly<Record<string, string>>;
  /** One for every test from the first that can have a window of tests in a row, or for every lot, keyed to its last test. */
  readonly windows: readonly V[];
  readonly individuals: readonly V[];
  /** Tests without a valid result, left out of the order with their reason. */
  readonly excluded: readonly { readonly id: string; readonly label: string }[];
  /** Over everything, places still waiting included: a pending test is never taken for a pass. */
  readonly summary: VerdictState;
  /** Over what is decided so far, with the number of tests still waiting. */
  readonly soFar: { readonly state: VerdictState; readonly waiting: number };
  /** The criterion that governs: the largest shortfall relative to its limit, else the least margin. */
  readonly governing: V | null;
  /** What the next result must reach, and which criterion asks it; null before there is a result. */
  readonly needed: { readonly text: string; readonly value: string; readonly by: string } | null;
}

/** What a series is judged by: its rule, and what is asked for in psi or MPa, decimal text. */
export interface SeriesAsked {
  readonly rule: SeriesRule;
  readonly specified: string;
  readonly system: System;
  readonly limits: Limits;
  readonly mode?: RoundingMode;
}

/**
 * Holds the tests of one series against its criteria.
 * @param points tests of one mix, one age, one size and curing; any order
 * @returns verdicts in sampling order. Pending tests keep their place and make their windows undeterminable;
 *   tests without a valid result are skipped, and the skip is listed
 */
export function evaluateSeries(points: readonly SeriesPoint[], series: SeriesAsked): SeriesVerdicts {
  const { about, held } = heldTo(series);
  const members = inOrder(points)
    .filter((point) => point.state !== 'no valid result')
    .map((point) => ({ ...point, waiting: point.state === 'pending' }));
  const of = (windows: boolean): Verdict[] =>
    held.flatMap(({ criterion }) =>
      looksAtSeveral(criterion) === windows ? evaluate(criterion, members, about) : [],
    );
  return seriesStanding(points, { windows: of(true), individuals: of(false) }, series);
}

function inOrder<P extends SeriesPoint>(points: readonly P[]): P[] {
  return points.toSorted((a, b) => a.sampledAt - b.sampledAt || a.label.localeCompare(b.label));
}

/** What a series is held against, and what each criterion asks of one result. */
function heldTo({ rule, specified, system, limits, mode = 'half-even' }: SeriesAsked) {
  const fc = exact(specified);
  const about: EvaluateAbout = {
    system,
    unit: system === 'US' ? 'psi' : 'MPa',
    limits,
    mode,
    asked: (name) => (name === rule.asked ? fc : undefined),
    step: limits.number(rule.step, system),
  };
  const held = criteriaOf(rule.criteria(limits.profile)).map((criterion) => ({
    criterion,
    limit: limitOf(criterion, about)?.value,
  }));
  return { fc, about, held };
}

/**
 * How a series stands by verdicts that are known already.
 * @param found its verdicts in sampling order, of some in a row and of each
 */
export function seriesStanding<V extends Decided>(
  points: readonly SeriesPoint[],
  found: { readonly windows: readonly V[]; readonly individuals: readonly V[] },
  series: SeriesAsked,
): SeriesVerdicts<V> {
  const { fc, about, held } = heldTo(series);
  const ordered = inOrder(points);
  const population = ordered.filter((point) => point.state !== 'no valid result');
  const { windows, individuals } = found;
  const all = held.flatMap(({ criterion }) =>
    [...windows, ...individuals].filter((verdict) => verdict.criterion === criterion.id),
  );
  const single = held.flatMap(({ criterion, limit }) => {
    const { lower, population } = criterion;
    return (
      (population === 'each' ? limit : lower && limitOf({ ...criterion, limit: lower }, about)?.value) ?? []
    );
  });
  return {
    unit: about.unit,
    specified: plain(fc, 15),
    individualLimit: plain(single[0] ?? fc, 15),
    limits: Object.fromEntries(
      held.flatMap(({ criterion, limit }) =>
        limit ? [[criterion.id, plainOf(limit, criterion.unit?.[about.system] ?? about.unit)]] : [],
      ),
    ),
    windows,
    individuals,
    excluded: ordered
      .filter((point) => point.state === 'no valid result')
      .map(({ id, label }) => ({ id, label })),
    summary: summarise(all),
    soFar: {
      state: summarise(all.filter((verdict) => verdict.state !== 'not yet determinable')),
      waiting: population.filter((point) => point.state === 'pending').length,
    },
    governing: governingOf(all),
    needed: neededNext(population, held, about),
  };
}

/** What the next test must reach: a mean of three asks thrice its limit less the last two, a single one its own limit. Without two tests before it nothing is said. */
function neededNext(
  population: readonly SeriesPoint[],
  held: readonly { readonly criterion: Criterion; readonly limit: Exact | undefined }[],
  { unit, step, mode }: EvaluateAbout,
): SeriesVerdicts['needed'] {
  const firstPending = population.findIndex((point) => point.value === null || point.state === 'pending');
  const before = firstPending === -1 ? population : population.slice(0, firstPending);
  const asks = held.flatMap(({ criterion, limit }) => {
    // What one more test does to the share of a lot hangs on what all the others are.
    if (criterion.population === 'lot') return [];
    const row = rowOf(criterion);
    const last = row > 1 ? before.slice(1 - row).flatMap(({ value }) => value ?? []) : [];
    return limit && last.length === row - 1
      ? [{ by: criterion.id, raw: last.reduce((left, value) => left.minus(value), limit.times(row)) }]
      : [];
  });
  if (before.length < 2) return null;
  const [first] = asks.toSorted((a, b) => b.raw.comparedTo(a.raw));
  if (!first) return null;
  // Results are reported to the step, so the demand is the next step up.
  const rounded = roundTo(first.raw, step, mode);
  const demand = rounded.lessThan(first.raw) ? rounded.plus(step) : rounded;
  return { value: plain(demand, 15), text: plainOf(demand, unit), by: first.by };
}
