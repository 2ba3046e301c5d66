import { type Compared, type PairRow, pairsOf } from '../../cross-checks';
import type { Limits } from '../../limits';
import { type Outcome, type RunSetup, type SampleKind, setupMeasure } from '../../methods';
import { airRange } from '../../methods/air';
import { temperatureLimits } from '../../methods/concrete-temperature';
import { yieldForClaim } from '../../methods/density-yield';
import { slumpRange } from '../../methods/slump';
import { type Exact, exact, roundedText, type System, type UnitId, unitLabel } from '../../quantity';
import { type Against, isSampleDue, isWaivable, loadDecision, owedByProject } from '../../sampling-plan';
import { trendAt } from '../../statistics';
import { isReportable } from '../../working';

/** A test of the day, with what it came to. */
interface DayRun {
  readonly method: string;
  readonly state: 'open' | 'complete';
  readonly outcome: Outcome | null;
  readonly input: Readonly<Record<string, unknown>> | null;
  readonly setup: RunSetup | null;
}

/** A sample of the day with its tests. */
interface DaySample {
  readonly label: string;
  readonly kind: SampleKind;
  readonly loadId: string | null;
  readonly sampledAt: Date;
  readonly runs: readonly DayRun[];
}

/** A placement's samples, in the job's units and under its limits. */
interface Day {
  readonly samples: readonly DaySample[];
  readonly job: { readonly system: System };
  readonly limits: Limits;
}

/**
 * What the volume alone says: whether the next load is to be sampled, and whether so little of the mixture is used in the
 * project that tests may be waived.
 */
export function owing({
  samples,
  loads,
  volumes,
  ofMix,
  system,
  limits,
}: {
  readonly samples: readonly Pick<DaySample, 'kind' | 'loadId'>[];
  /** In the order they came, with the volume of each. */
  readonly loads: readonly { readonly id: string }[];
  readonly volumes: readonly Exact[];
  readonly ofMix: readonly {
    readonly about: { readonly volume: string | null };
    readonly batches: number;
    readonly tests: number;
  }[];
  readonly system: System;
  readonly limits: Limits;
}): { sampleDue: boolean; waivable: boolean; testsOfMix: number; owed: number } {
  const unit = system === 'US' ? 'yd3' : 'm3';
  const sum = (all: readonly Exact[]): Exact => all.reduce((total, each) => total.plus(each), exact(0));
  const sampled = samples.filter(({ kind }) => kind === 'acceptance').map(({ loadId }) => loadId);
  const last = loads.findLastIndex(({ id }) => sampled.includes(id));
  const since = sum(volumes.slice(last + 1));
  const planned = ofMix.map(({ about }) => setupMeasure(about.volume ?? undefined, 'volume', unit));
  const testsOfMix = ofMix.reduce((all, { tests }) => all + tests, 0);
  const batchesOfMix = ofMix.reduce((all, each) => all + each.batches, 0);
  return {
    testsOfMix,
    // The five of a mixture are the rule of ACI 318; the other schools count otherwise.
    owed: ['astm', 'agency'].includes(limits.profile) ? owedByProject(testsOfMix, batchesOfMix, limits) : 0,
    sampleDue: loads.length > 0 && isSampleDue(since, volumes.at(-1) ?? exact(0), system, limits),
    // Only when every placement of the mixture says how much it takes.
    waivable:
      planned.every((volume) => volume !== undefined) &&
      isWaivable(sum(planned.map((volume) => volume ?? exact(0))), system, limits),
  };
}

/** The pairs that samples of one load make, with what may lie between two people’s results. */
export function samplePairs(
  day: Day & { readonly loads: readonly { readonly id: string; readonly ticket: string }[] },
): PairRow[] {
  const compared: readonly Compared[] = ['slump', 'air content', 'concrete temperature', 'density'];
  return pairsOf(
    day.samples.map((view) => {
      const valid = view.runs.filter(
        ({ state, outcome }) => state === 'complete' && outcome && isReportable(outcome.findings),
      );
      const results = valid.flatMap(({ outcome }) => outcome?.results ?? []);
      const source = view.runs.find(({ method }) => method === 'sampling')?.input?.source;
      return {
        label: view.label.split('-').at(-1) ?? '',
        load: day.loads.find(({ id }) => id === view.loadId)?.ticket ?? '',
        kind: view.kind,
        point: source === undefined ? null : source === 'pump' ? ('end' as const) : ('truck' as const),
        results: Object.fromEntries(
          compared.flatMap((quantity) => {
            const result = results.find((each) => each.quantity === quantity);
            return result ? [[quantity, { value: result.reported, unit: result.unit }]] : [];
          }),
        ),
      };
    }),
    day.job.system,
    day.limits,
  );
}

/** One quantity of a placement's samples in order, with the ends of what is asked for. */
export interface FreshSeries {
  readonly title: string;
  readonly unit: string;
  readonly low: number | null;
  readonly high: number | null;
  readonly points: readonly { readonly label: string; readonly value: number; readonly valid: boolean }[];
  /** Where it goes on to in half an hour, in words; only for what moves with the day, with three loads or more. */
  readonly ahead: string | null;
}

/** The fresh results of a placement as small series: each test made again stands beside the first. */
export function freshSeries(day: Day): FreshSeries[] {
  const { job, limits, samples: views } = day;
  const system = job.system;
  const of = (methods: readonly string[], quantity: string) =>
    views.flatMap((view) =>
      view.runs
        .filter((run) => methods.includes(run.method) && run.state === 'complete')
        .flatMap((run) => {
          const result = run.outcome?.results.find((each) => each.quantity === quantity);
          const valid = run.outcome ? isReportable(run.outcome.findings) : false;
          return result
            ? [
                {
                  label: view.label.split('-').at(-1) ?? '',
                  value: Number(result.reported),
                  valid,
                  at: view.sampledAt.getTime(),
                  run,
                  unit: result.unit,
                },
              ]
            : [];
        }),
    );
  const rows = [
    { title: 'Slump', points: of(['slump'], 'slump'), range: slumpRange },
    { title: 'Slump flow', points: of(['slump-flow'], 'slump flow'), range: () => undefined },
    {
      title: 'Concrete temperature',
      points: of(['concrete-temperature'], 'concrete temperature'),
      range: temperatureRange,
    },
    { title: 'Air', points: of(['air-pressure', 'air-volumetric'], 'air content'), range: airRange },
    { title: 'Density', points: of(['density-yield'], 'density'), range: () => undefined },
  ];
  return rows
    .filter(({ points }) => points.length > 0)
    .map(({ title, points, range }) => {
      const setup = points.at(-1)?.run.setup;
      const ends = setup ? range(system, setup, limits) : undefined;
      return {
        title,
        unit: points[0] ? unitLabel(points[0].unit) : '',
        low: ends?.low?.toNumber() ?? null,
        high: ends?.high?.toNumber() ?? null,
        points: points.map(({ label, value, valid }) => ({ label, value, valid })),
        ahead: title === 'Concrete temperature' ? aheadOf(points, ends?.high ?? null) : null,
      };
    });
}

const AHEAD_MS = 30 * 60_000;

/** Where the valid readings of the day go on to, half an hour after the last; common practice, no source. */
function aheadOf(
  points: readonly {
    readonly value: number;
    readonly valid: boolean;
    readonly at: number;
    readonly unit: UnitId;
  }[],
  high: Exact | null,
): string | null {
  const valid = points.filter((point) => point.valid);
  const last = valid.at(-1);
  if (!last) return null;
  const next = trendAt(
    valid.map(({ at, value }) => ({ x: (at - last.at) / AHEAD_MS, y: value })),
    1,
  );
  if (next === undefined) return null;
  const over = high !== null && next > high.toNumber();
  return `At this trend about ${next.toFixed(0)} ${unitLabel(last.unit)} half an hour on${over ? ': above what is allowed' : ''}.`;
}

function temperatureRange(system: System, setup: RunSetup, limits: Limits) {
  const { minimum, maximum } = temperatureLimits({ system }, setup, limits);
  return { low: minimum, high: maximum };
}

/** The yield over the mean of the densities of several loads; null before there are enough for a claim. */
export function claimedYield(day: Day): { text: string; loads: number } | null {
  const { job, limits } = day;
  const runs = day.samples.flatMap((view) =>
    view.runs.filter(({ method, state }) => method === 'density-yield' && state === 'complete'),
  );
  const line = (run: DayRun, symbol: string) =>
    run.outcome?.lines.find((each) => each.symbol === symbol)?.value;
  const densities = runs.flatMap((run) => line(run, 'D') ?? []).map(exact);
  const [mass] = runs.flatMap((run) => line(run, 'M') ?? []);
  if (mass === undefined) return null;
  const made = yieldForClaim(exact(mass), densities, job.system, limits);
  return (
    made && {
      text: `${roundedText(made, '0.01')} ${job.system === 'US' ? 'yd³' : 'm³'}`,
      loads: densities.length,
    }
  );
}

/** How a result stands against its tolerance; null while it cannot be told. */
function against(run: DayRun): Against | null {
  const verdict = run.outcome?.verdicts[0];
  const valid = run.outcome ? isReportable(run.outcome.findings) : false;
  if (run.state !== 'complete' || !verdict || !valid) return null;
  if (verdict.state === 'meets') return 'in';
  return verdict.side ?? null;
}

const JUDGED = ['slump', 'slump-flow', 'air-pressure', 'air-volumetric'];

/** What may be done with a load after its preliminary samples; null when none was taken of it. */
export function decisionFor(loadId: string, views: readonly Pick<DaySample, 'loadId' | 'kind' | 'runs'>[]) {
  const first = views.filter((view) => view.loadId === loadId && view.kind === 'preliminary');
  if (first.length === 0) return null;
  const results = first.flatMap((view) => {
    const judged = view.runs.filter(({ method }) => JUDGED.includes(method)).map(against);
    const known = judged.filter((each) => each !== null);
    if (known.length === 0) return [];
    return [known.find((each) => each === 'high') ?? known.find((each) => each === 'low') ?? ('in' as const)];
  });
  const delivered = first.flatMap((view) => view.runs).find(({ method }) => method === 'delivery');
  const permitted = Number(
    delivered?.outcome?.results.find(({ quantity }) => quantity === 'permitted site water')?.value ?? 0,
  );
  return loadDecision(results, permitted > 0);
}
