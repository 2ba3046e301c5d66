import { and, asc, desc, eq, inArray, ne, sql } from 'drizzle-orm';
import { type Compared, type PairRow, pairsOf } from '@/core/cross-checks';
import { sampleLabel } from '@/core/identity/labels';
import type { Limits } from '@/core/limits';
import { type RunSetup, setupMeasure } from '@/core/methods';
import { airRange } from '@/core/methods/air';
import { temperatureLimits } from '@/core/methods/concrete-temperature';
import { yieldForClaim } from '@/core/methods/density-yield';
import { slumpRange } from '@/core/methods/slump';
import { specimenClasses } from '@/core/moulds';
import { type Exact, exact, roundedText, type System, type UnitId, unitLabel } from '@/core/quantity';
import {
  type Against,
  isSampleDue,
  isWaivable,
  loadDecision,
  owedByProject,
  targetsOf,
} from '@/core/sampling-plan';
import { trendAt } from '@/core/statistics';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import {
  attachments,
  loads,
  lots,
  people,
  plantBatches,
  runs,
  samples,
  samplingPlans,
  specimens,
} from '@/db/schema';
import { limitsNow } from '../run-setup';
import { sampleEvents } from '../sample-stamps';
import { present, staffOnly } from '../scope';
import type { Actor } from '../use-case';
import { inWorkOrder, type RunView, runViews } from './dossier';
import { lotHead } from './lot';

/** A placement with its mix and job. */
async function placementPlace(db: Queryable, actor: Actor, lotId: string) {
  staffOnly(actor);
  return lotHead(db, actor, lotId);
}

/** Everything of one placement on one page: plan, trucks, samples with their fresh results, weather, photographs. */
export async function placementDay(db: Queryable, actor: Actor, lotId: string) {
  const place = await placementPlace(db, actor, lotId);
  const { job } = place;
  const volumeUnit = job.system === 'US' ? 'yd3' : 'm3';
  const [plan] = await db
    .select()
    .from(samplingPlans)
    .where(eq(samplingPlans.lotId, lotId))
    .orderBy(desc(samplingPlans.at))
    .limit(1);
  const allTrucks = await db.select().from(loads).where(eq(loads.lotId, lotId)).orderBy(asc(loads.number));
  // One struck out was never there; it is shown apart.
  const trucks = allTrucks.filter(({ struckOut }) => struckOut === null);
  const taken = await db
    .select({ sample: samples, by: people.name })
    .from(samples)
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(eq(samples.lotId, lotId))
    .orderBy(asc(samples.sampledAt));
  const tickets = await db
    .select({ batch: plantBatches.batch })
    .from(plantBatches)
    .where(eq(plantBatches.lotId, lotId))
    .orderBy(asc(plantBatches.at), asc(plantBatches.ticket));
  const ofMix = await db
    .select({
      about: lots.about,
      // Written out: Drizzle would leave the table off its columns inside the subqueries.
      batches: sql<number>`(select count(*)::int from loads l where l.lot_id = lots.id and l.struck_out is null)`,
      tests: sql<number>`(select count(*)::int from samples s where s.lot_id = lots.id and s.kind = 'acceptance')`,
    })
    .from(lots)
    .where(eq(lots.specificationId, place.mix.id));
  const ids = taken.map(({ sample }) => sample.id);
  const fresh = ids.length > 0 ? await runViews(db, { sampleIds: ids }) : [];
  const weather = await runViews(db, { lotIds: [lotId] });
  const made =
    ids.length > 0
      ? await db
          .select({
            sampleId: specimens.sampleId,
            label: specimens.label,
            form: specimens.form,
            about: specimens.about,
          })
          .from(specimens)
          .where(inArray(specimens.sampleId, ids))
          .orderBy(asc(specimens.label))
      : [];
  const runIds = [...fresh, ...weather].map(({ id }) => id);
  const photos =
    runIds.length > 0
      ? await db
          .select({
            id: attachments.id,
            name: attachments.name,
            runId: attachments.runId,
            at: attachments.at,
          })
          .from(attachments)
          .where(inArray(attachments.runId, runIds))
          .orderBy(asc(attachments.at))
      : [];
  const volumes = trucks.map(({ volume }) => setupMeasure(volume, 'volume', volumeUnit) ?? exact(0));
  const out = volumes.reduce((sum, each) => sum.plus(each), exact(0));
  const limits = await limitsNow(db, job);
  const events = await sampleEvents(db, ids);
  const views = taken.map(({ sample, by }) => ({
    ...sample,
    label: sampleLabel(job.number, sample.number),
    by,
    events: events.get(sample.id) ?? {},
    runs: fresh.filter(({ sampleId }) => sampleId === sample.id),
    specimens: made.filter(({ sampleId }) => sampleId === sample.id).map(({ label }) => label),
    made: specimenClasses(made.filter(({ sampleId }) => sampleId === sample.id)),
  }));
  return {
    ...place,
    limits,
    plan: plan ?? null,
    targets: plan ? targetsOf(plan.draws, volumes) : [],
    loads: trucks.map((load) => ({ ...load, decision: decisionFor(load.id, views) })),
    ...owing(taken, trucks, volumes, ofMix, job.system, limits),
    struckOut: allTrucks.filter(({ struckOut }) => struckOut !== null),
    batches: tickets.map(({ batch }) => batch),
    volumeOut: out.toFixed(),
    samples: views,
    weather,
    photos,
  };
}

/**
 * What the volume alone says: whether the next load is to be sampled, and whether so little of the mixture is used in the
 * project that tests may be waived.
 */
function owing(
  taken: readonly { readonly sample: typeof samples.$inferSelect }[],
  trucks: readonly (typeof loads.$inferSelect)[],
  volumes: readonly Exact[],
  ofMix: readonly {
    readonly about: { readonly volume: string | null };
    readonly batches: number;
    readonly tests: number;
  }[],
  system: System,
  limits: Limits,
): { sampleDue: boolean; waivable: boolean; testsOfMix: number; owed: number } {
  const unit = system === 'US' ? 'yd3' : 'm3';
  const sum = (all: readonly Exact[]): Exact => all.reduce((total, each) => total.plus(each), exact(0));
  const sampled = taken
    .filter(({ sample }) => sample.kind === 'acceptance')
    .map(({ sample }) => sample.loadId);
  const last = trucks.findLastIndex(({ id }) => sampled.includes(id));
  const since = sum(volumes.slice(last + 1));
  const planned = ofMix.map(({ about }) => setupMeasure(about.volume ?? undefined, 'volume', unit));
  const testsOfMix = ofMix.reduce((all, { tests }) => all + tests, 0);
  const batchesOfMix = ofMix.reduce((all, each) => all + each.batches, 0);
  return {
    testsOfMix,
    // The five of a mixture are the rule of ACI 318; the other schools count otherwise.
    owed: ['astm', 'agency'].includes(limits.profile) ? owedByProject(testsOfMix, batchesOfMix, limits) : 0,
    sampleDue: trucks.length > 0 && isSampleDue(since, volumes.at(-1) ?? exact(0), system, limits),
    // Only when every placement of the mixture says how much it takes.
    waivable:
      planned.every((volume) => volume !== undefined) &&
      isWaivable(sum(planned.map((volume) => volume ?? exact(0))), system, limits),
  };
}

/** The pairs that samples of one load make, with what may lie between two people’s results. */
export function samplePairs(day: Pick<PlacementDay, 'samples' | 'loads' | 'job' | 'limits'>): PairRow[] {
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

export type PlacementDay = Awaited<ReturnType<typeof placementDay>>;

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
export function freshSeries(day: Pick<PlacementDay, 'samples' | 'job' | 'limits'>): FreshSeries[] {
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
export function claimedYield(
  day: Pick<PlacementDay, 'samples' | 'job' | 'limits'>,
): { text: string; loads: number } | null {
  const { job, limits } = day;
  const runs = day.samples.flatMap((view) =>
    view.runs.filter(({ method, state }) => method === 'density-yield' && state === 'complete'),
  );
  const line = (run: RunView, symbol: string) =>
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
function against(run: RunView): Against | null {
  const verdict = run.outcome?.verdicts[0];
  const valid = run.outcome ? isReportable(run.outcome.findings) : false;
  if (run.state !== 'complete' || !verdict || !valid) return null;
  if (verdict.state === 'meets') return 'in';
  return verdict.side ?? null;
}

const JUDGED = ['slump', 'slump-flow', 'air-pressure', 'air-volumetric'];

/** What may be done with a load after its preliminary samples; null when none was taken of it. */
function decisionFor(
  loadId: string,
  views: readonly { loadId: string | null; kind: string; runs: readonly RunView[] }[],
) {
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

/** The sample on the phone: where it belongs, its stamps, and the other samples on the site. */
export async function fieldSample(db: Queryable, actor: Actor, sampleId: string) {
  staffOnly(actor);
  const [found] = await db.select().from(samples).where(eq(samples.id, sampleId));
  const sample = present(found, 'This sample');
  const place = await placementPlace(db, actor, sample.lotId);
  const others = await db
    .select({ id: samples.id, number: samples.number })
    .from(samples)
    .where(and(eq(samples.lotId, sample.lotId), ne(samples.id, sampleId)))
    .orderBy(asc(samples.number));
  const events = await sampleEvents(
    db,
    others.map(({ id }) => id),
  );
  const own = await db
    .select({ id: runs.id, method: runs.method, attempt: runs.attempt })
    .from(runs)
    .where(eq(runs.sampleId, sampleId));
  const [load] = sample.loadId ? await db.select().from(loads).where(eq(loads.id, sample.loadId)) : [];
  const made = await db
    .select()
    .from(specimens)
    .where(eq(specimens.sampleId, sampleId))
    .orderBy(asc(specimens.label));
  return {
    ...place,
    sample,
    load: load ?? null,
    others: others.map((other) => ({ ...other, events: events.get(other.id) ?? {} })),
    runs: own.toSorted(inWorkOrder),
    specimens: made,
    limits: await limitsNow(db, place.job),
  };
}
