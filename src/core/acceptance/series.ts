import type { Limits } from '../limits';
import {
  type Exact,
  exact,
  meanOf,
  plainOf,
  type RoundingMode,
  roundTo,
  type System,
  type UnitId,
} from '../quantity';
import { plain, Sheet, sourceText, standard, type WorkingLine } from '../working';

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
}

export type VerdictState = 'meets' | 'does not meet' | 'not yet determinable' | 'needs decision';

/** The outcome of one criterion on one population. */
export interface Verdict {
  readonly criterion: 'running-average' | 'individual';
  readonly pointIds: readonly string[];
  readonly state: VerdictState;
  readonly statistic: string | null;
  readonly limit: string;
  /** Value minus limit, decimal text; negative when short. */
  readonly margin: string | null;
  readonly sentence: string;
  /** True when rounding first and comparing unrounded give opposite answers. */
  readonly knifeEdge: boolean;
  readonly lines: readonly WorkingLine[];
}

export interface SeriesVerdicts {
  readonly unit: UnitId;
  readonly specified: string;
  readonly individualLimit: string;
  /** One for every test from the third that can have a window, keyed to its last test. */
  readonly windows: readonly Verdict[];
  readonly individuals: readonly Verdict[];
  /** Tests without a valid result, left out of the order with their reason. */
  readonly excluded: readonly { readonly id: string; readonly label: string }[];
  /** Tests between the individual limit and f'c: allowed individually, an early word to the engineer. */
  readonly watch: readonly string[];
  /** Over everything, places still waiting included: a pending test is never taken for a pass. */
  readonly summary: VerdictState;
  /** Over what is decided so far, with the number of tests still waiting. */
  readonly soFar: { readonly state: VerdictState; readonly waiting: number };
  /** The criterion that governs: the largest shortfall relative to its limit, else the least margin. */
  readonly governing: Verdict | null;
  /** What the next result must reach, and which criterion asks it; null before there is a result. */
  readonly needed: {
    readonly text: string;
    readonly value: string;
    readonly by: Verdict['criterion'];
  } | null;
}

const ACI = standard('ACI 318', '26.12.3');

/** Smallest single test allowed. Source: ACI 318 26.12.3 (from memory): f'c − 500 psi [3.5 MPa], above 5,000 [35] 0.90 f'c. */
export function individualLimit(specified: Exact, system: System, limits: Limits): Exact {
  const high = specified.greaterThan(limits.number('acceptance.dividing-strength', system));
  return high
    ? specified.times(exact(1).minus(limits.number('acceptance.individual-share', system)))
    : specified.minus(limits.number('acceptance.individual-shortfall', system));
}

/**
 * Holds the strength tests of one mix against the two criteria of ACI 318.
 * @param points tests of one mix, one age, one size and curing; any order
 * @param specified f'c in psi or MPa, decimal text
 * @param decimals the place results are reported to: 10 psi or 0.1 MPa
 * @returns verdicts in sampling order. Pending tests keep their place and make their windows undeterminable;
 *   tests without a valid result are skipped, and the skip is listed
 * Source: ACI 318 26.12.3 (from memory).
 */
export function evaluateSeries(
  points: readonly SeriesPoint[],
  specified: string,
  system: System,
  limits: Limits,
  mode: RoundingMode = 'half-even',
): SeriesVerdicts {
  const unit: UnitId = system === 'US' ? 'psi' : 'MPa';
  const ordered = points.toSorted((a, b) => a.sampledAt - b.sampledAt || a.label.localeCompare(b.label));
  const population = ordered.filter((point) => point.state !== 'no valid result');
  const excluded = ordered.filter((point) => point.state === 'no valid result');
  const fc = exact(specified);
  const step = limits.number('cylinder.strength-step', system);
  const floor = individualLimit(fc, system, limits);
  const windows = population
    .slice(2)
    .map((last, index) => windowVerdict([population[index], population[index + 1], last], fc));
  const individuals = population.map((point) => individualVerdict(point));
  const all = [...windows, ...individuals];
  const watch = population
    .filter((point) => point.value !== null && exact(point.value).lessThan(fc))
    .filter((point) => exact(point.value ?? 0).greaterThanOrEqualTo(floor))
    .map((point) => point.id);
  return {
    unit,
    specified: plain(fc, 15),
    individualLimit: plain(floor, 15),
    windows,
    individuals,
    excluded: excluded.map(({ id, label }) => ({ id, label })),
    watch,
    summary: summarise(all),
    soFar: {
      state: summarise(all.filter((verdict) => verdict.state !== 'not yet determinable')),
      waiting: population.filter((point) => point.state === 'pending').length,
    },
    governing: governingOf(all),
    needed: neededNext(population, fc, floor, unit, step, mode),
  };

  function windowVerdict(three: readonly (SeriesPoint | undefined)[], limit: Exact): Verdict {
    const tests = three.filter((point) => point !== undefined);
    const pending = tests.filter((point) => point.value === null || point.state === 'pending');
    const base = {
      criterion: 'running-average',
      pointIds: tests.map(({ id }) => id),
      limit: plain(limit, 15),
    } as const;
    if (pending.length > 0) {
      const waits = pending.map(({ label }) => label).join(', ');
      return {
        ...base,
        state: 'not yet determinable',
        statistic: null,
        margin: null,
        knifeEdge: false,
        lines: [],
        sentence: `Not yet determinable: needs ${waits}.`,
      };
    }
    const values = tests.map((point) => exact(point.value ?? 0));
    const sheet = new Sheet(mode);
    const mean = sheet.line({
      symbol: 'm',
      name: 'Mean of three consecutive strength tests',
      formula: '(x1 + x2 + x3) / 3',
      uses: Object.fromEntries(values.map((value, index) => [`x${index + 1}`, value])),
      value: meanOf(values),
      unit,
      source: ACI,
      show: 6,
    });
    const met = mean.greaterThanOrEqualTo(limit);
    const knifeEdge = roundTo(mean, step, mode).greaterThanOrEqualTo(limit) !== met;
    const reasons = tests.flatMap(({ label, engineer }) => engineer.map((why) => `${label}: ${why}`));
    const shown = plainOf(mean.toDecimalPlaces(system === 'US' ? 1 : 2), unit);
    return {
      ...base,
      ...decided(met, knifeEdge, reasons),
      statistic: plain(mean, 15),
      margin: plain(mean.minus(limit), 15),
      knifeEdge,
      lines: sheet.lines,
      sentence: sentence(`mean of three ${shown}`, met, mean.minus(limit), limit, knifeEdge, reasons),
    };
  }

  function individualVerdict(point: SeriesPoint): Verdict {
    const base = { criterion: 'individual', pointIds: [point.id], limit: plain(floor, 15) } as const;
    if (point.value === null || point.state === 'pending') {
      return {
        ...base,
        state: 'not yet determinable',
        statistic: null,
        margin: null,
        knifeEdge: false,
        lines: [],
        sentence: `Not yet determinable: needs ${point.label}.`,
      };
    }
    // A single test is compared as reported: that is the figure the reader of the report can check.
    const value = exact(point.value);
    const met = value.greaterThanOrEqualTo(floor);
    const reasons = point.engineer.map((why) => `${point.label}: ${why}`);
    return {
      ...base,
      ...decided(met, false, reasons),
      statistic: plain(value, 15),
      margin: plain(value.minus(floor), 15),
      knifeEdge: false,
      lines: [],
      sentence: sentence(plainOf(value, unit), met, value.minus(floor), floor, false, reasons),
    };
  }

  function sentence(
    what: string,
    met: boolean,
    margin: Exact,
    limit: Exact,
    knifeEdge: boolean,
    reasons: readonly string[],
  ): string {
    const against = `${plainOf(limit, unit)}, ${sourceText(ACI)}`;
    const said = met
      ? `Meets: ${what} against ${against}`
      : `Does not meet: ${what} against ${against}; short by ${plainOf(margin.abs().toDecimalPlaces(system === 'US' ? 1 : 2), unit)}`;
    const edge = knifeEdge ? ' The answer depends on the rounding method: needs decision.' : '';
    const open = reasons.length > 0 ? ` Needs decision: ${reasons.join('; ')}.` : '';
    return `${said}.${edge}${open}`;
  }
}

/** A criterion that is not met stays so; doubt about whether a test counts is put on top of a pass. */
function decided(met: boolean, knifeEdge: boolean, reasons: readonly string[]): { state: VerdictState } {
  if (!met) return { state: 'does not meet' };
  return { state: knifeEdge || reasons.length > 0 ? 'needs decision' : 'meets' };
}

function summarise(verdicts: readonly Verdict[]): VerdictState {
  const order: VerdictState[] = ['does not meet', 'needs decision', 'not yet determinable'];
  const worst = order.find((state) => verdicts.some((verdict) => verdict.state === state));
  return worst ?? (verdicts.length > 0 ? 'meets' : 'not yet determinable');
}

function governingOf(verdicts: readonly Verdict[]): Verdict | null {
  const known = verdicts.filter((verdict) => verdict.margin !== null);
  if (known.length === 0) return null;
  const share = (verdict: Verdict): Exact => exact(verdict.margin ?? 0).div(verdict.limit);
  return known.reduce((worst, verdict) => (share(verdict).lessThan(share(worst)) ? verdict : worst));
}

/** What the next test must reach: the running average asks 3 f'c less the last two, the single rule its own limit. */
function neededNext(
  population: readonly SeriesPoint[],
  fc: Exact,
  floor: Exact,
  unit: UnitId,
  step: Exact,
  mode: RoundingMode,
): SeriesVerdicts['needed'] {
  const firstPending = population.findIndex((point) => point.value === null || point.state === 'pending');
  const before = firstPending === -1 ? population : population.slice(0, firstPending);
  const [one, two] = before.slice(-2);
  if (!one?.value || !two?.value) return null;
  const byAverage = fc.times(3).minus(one.value).minus(two.value);
  const governs = byAverage.greaterThan(floor);
  const raw = governs ? byAverage : floor;
  // Results are reported to the step, so the demand is the next step up.
  const rounded = roundTo(raw, step, mode);
  const demand = rounded.lessThan(raw) ? rounded.plus(step) : rounded;
  return {
    value: plain(demand, 15),
    text: plainOf(demand, unit),
    by: governs ? 'running-average' : 'individual',
  };
}
