import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { evaluateSeries, type SeriesPoint, type SeriesVerdicts, type VerdictState } from '@/core/acceptance';
import { sampleLabel } from '@/core/identity/labels';
import type { Limits } from '@/core/limits';
import { findMaterial } from '@/core/materials/registry';
import { measureIn, parseMeasure } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  followUps,
  jobs,
  lots,
  outcomes,
  people,
  requirements,
  runs,
  samples,
  specifications,
} from '@/db/schema';
import { groupBy } from '../group-by';
import { limitsOfJobs } from '../run-setup';
import { anyOf, present, readableJobs } from '../scope';
import { type SpecimenSet, setsOf } from '../sets';
import type { Actor } from '../use-case';
import { type SpecimenView, specimenViews, withoutUnreleased } from './dossier';
import { standingsOf } from './specification';

export interface SeriesRow extends SeriesPoint {
  readonly sampleId: string;
  readonly element: string;
  readonly set: SpecimenSet;
  /** Result of the youngest set of the same sample, for early warning. */
  readonly early: { readonly ageHours: number; readonly text: string } | null;
}

export interface MixSeries {
  readonly job: typeof jobs.$inferSelect;
  readonly mix: typeof specifications.$inferSelect;
  readonly criteria: readonly (typeof requirements.$inferSelect)[];
  readonly rows: readonly SeriesRow[];
  readonly limits: Limits;
  readonly verdicts: SeriesVerdicts;
  readonly followUps: readonly { sampleId: string; stepId: string; note: string; byName: string; at: Date }[];
}

/** f'c as decimal text in the job's unit. */
export function specifiedValue(asked: { readonly specifiedStrength: string }, system: 'US' | 'SI'): string {
  const unit = system === 'US' ? 'psi' : 'MPa';
  const parsed = parseMeasure(asked.specifiedStrength, 'stress', unit);
  return parsed.ok ? measureIn(parsed.measure, unit).value.toSignificantDigits(15).toFixed() : '0';
}

/**
 * The strength tests of one mix in sampling order, and how they stand against its criteria.
 * For a client only results of signed reports count; the others are waiting.
 */
export async function mixSeries(db: Queryable, actor: Actor, specificationId: string): Promise<MixSeries> {
  const [series] = await seriesOf(db, actor, [specificationId]);
  return present(series, 'This mix');
}

/** The series of several specifications, asked for together, in the order of their names. */
export async function seriesOf(
  db: Queryable,
  actor: Actor,
  specificationIds: readonly string[],
): Promise<MixSeries[]> {
  const found = await db
    .select({ mix: specifications, job: jobs })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(and(anyOf(specifications.id, specificationIds), readableJobs(db, actor)));
  const readable = found.map(({ mix }) => mix.id);
  if (readable.length === 0) return [];
  const taken = await db
    .select({ sample: samples, element: lots.title, specificationId: lots.specificationId })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(anyOf(lots.specificationId, readable))
    .orderBy(asc(samples.sampledAt));
  const limitsBy = await limitsOfJobs(
    db,
    found.map(({ job }) => job),
  );
  const sampleIds = taken.map(({ sample }) => sample.id);
  const all = await specimenViews(db, sampleIds, { detail: 'series' });
  const releasedOnly = actor.role === 'client';
  const views = groupBy(releasedOnly ? withoutUnreleased(all) : all, ({ sampleId }) => sampleId);
  const uncertified = await uncertifiedSamples(db, sampleIds);
  const done = await db
    .select({
      specificationId: lots.specificationId,
      sampleId: followUps.sampleId,
      stepId: followUps.stepId,
      note: followUps.note,
      byName: people.name,
      at: followUps.at,
    })
    .from(followUps)
    .innerJoin(people, eq(people.id, followUps.by))
    .innerJoin(samples, eq(samples.id, followUps.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(anyOf(lots.specificationId, readable))
    .orderBy(asc(followUps.at));
  const criteria = await db.select().from(requirements).where(anyOf(requirements.specificationId, readable));
  const takenBy = groupBy(taken, ({ specificationId }) => specificationId);
  const series: MixSeries[] = [];
  for (const id of specificationIds) {
    const own = found.find(({ mix }) => mix.id === id);
    if (!own) continue;
    const { mix, job } = own;
    const limits = limitsBy(job);
    const rows = rowsOf(takenBy.get(id) ?? [], own, limits, views, uncertified);
    series.push({
      job,
      mix,
      criteria: criteria.filter(({ specificationId }) => specificationId === id),
      rows,
      limits,
      verdicts: evaluateSeries(rows, specifiedValue(mix.asked, job.system), job.system, limits, job.rounding),
      followUps: releasedOnly ? [] : done.filter(({ specificationId }) => specificationId === id),
    });
    // What others ask for meanwhile comes in between two specifications.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return series;
}

/** The strength tests of one mix, each with its set, the youngest result and what an engineer has to decide. */
function rowsOf(
  taken: readonly { readonly sample: typeof samples.$inferSelect; readonly element: string }[],
  { mix, job }: Pick<MixSeries, 'mix' | 'job'>,
  limits: Limits,
  views: ReadonlyMap<string, SpecimenView[]>,
  uncertified: ReadonlySet<string | null>,
): SeriesRow[] {
  return taken.flatMap(({ sample, element }): SeriesRow[] => {
    const sets = setsOf(views.get(sample.id) ?? [], job, mix, limits);
    const set = sets.find((each) => each.designated && each.cure === 'standard');
    if (!set) return [];
    const young = sets.find(
      (each) =>
        !each.what &&
        each.ageHours !== null &&
        each.ageHours < mix.asked.ageHours &&
        each.test.state === 'tested',
    );
    const unaccepted = set.specimens.some(
      ({ run }) => run?.state === 'complete' && run.openReasons.length > 0,
    );
    return [
      {
        id: sample.id,
        sampleId: sample.id,
        label: sampleLabel(job.number, sample.number),
        sampledAt: sample.sampledAt.getTime(),
        value: set.test.state === 'tested' ? set.test.value : null,
        state: set.test.state,
        engineer: [
          ...set.test.engineer,
          ...(unaccepted ? ['a recorded reason is not accepted yet'] : []),
          ...(uncertified.has(sample.id) ? ['sampled or moulded without a valid certificate'] : []),
        ],
        element,
        set,
        early:
          young?.test.text && young.ageHours !== null
            ? { ageHours: young.ageHours, text: young.test.text }
            : null,
      },
    ];
  });
}

/** Samples that somebody without a valid certificate took or moulded, by the newest outcomes of those runs. */
async function uncertifiedSamples(
  db: Queryable,
  sampleIds: readonly string[],
): Promise<ReadonlySet<string | null>> {
  if (sampleIds.length === 0) return new Set();
  const newest = await db
    .selectDistinctOn([outcomes.runId], {
      sampleId: runs.sampleId,
      uncertified: sql<boolean>`${outcomes.outcome} -> 'findings' @> '[{"id":"people.certified"}]'::jsonb`,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(and(anyOf(runs.sampleId, sampleIds), inArray(runs.method, ['sampling', 'moulding'])))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return new Set(newest.filter(({ uncertified }) => uncertified).map(({ sampleId }) => sampleId));
}

/** A specification as the list of verdicts shows it. */
export interface ShownSpecification extends Pick<MixSeries, 'mix' | 'job'> {
  readonly state: VerdictState;
  readonly words: string;
  /** What the next result must reach; null where nothing is known of it. */
  readonly needed: string | null;
  readonly governing: string | null;
}

/** Mixes shown at once. */
const MIXES_SHOWN = 6;

/**
 * The mixes a person may read, those placed last first, with how each stands: a page of them.
 * @param page from 0
 */
export async function seriesPage(
  db: Queryable,
  actor: Actor,
  page: number,
): Promise<{
  readonly shown: readonly ShownSpecification[];
  readonly count: number;
  readonly pages: number;
}> {
  const found = await db
    .select({
      id: specifications.id,
      material: specifications.material,
      count: sql<number>`(count(*) over ())::int`,
    })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(readableJobs(db, actor))
    .orderBy(
      sql`(select max(p.starts_at) from lots p where p.specification_id = ${specifications.id}) desc nulls last`,
      asc(jobs.number),
      asc(specifications.code),
      asc(specifications.version),
    )
    .limit(MIXES_SHOWN)
    .offset(page * MIXES_SHOWN);
  const inSeries = (material: string): boolean => findMaterial(material)?.comesInLoads === true;
  const series = await seriesOf(
    db,
    actor,
    found.filter(({ material }) => inSeries(material)).map(({ id }) => id),
  );
  const standings = await standingsOf(
    db,
    actor,
    found.filter(({ material }) => !inSeries(material)).map(({ id }) => id),
  );
  const shown = found.flatMap(({ id }): ShownSpecification[] => {
    const own = series.find(({ mix }) => mix.id === id);
    if (own) {
      const { individuals, soFar, needed, governing } = own.verdicts;
      return [
        {
          mix: own.mix,
          job: own.job,
          state: soFar.state,
          words: `${individuals.length - soFar.waiting} tests decided, ${soFar.waiting} waiting.`,
          needed: needed?.text ?? null,
          governing: governing?.sentence ?? null,
        },
      ];
    }
    const each = standings.find(({ mix }) => mix.id === id);
    if (!each) return [];
    const decided = each.samples.filter(({ sets }) =>
      sets.some(({ test }) => test.state === 'tested'),
    ).length;
    return [
      {
        mix: each.mix,
        job: each.job,
        state: each.state,
        words: `${decided} of ${each.samples.length} ${findMaterial(each.mix.material)?.words.sample[1]} tested.`,
        needed: null,
        governing: each.governing?.sentence ?? null,
      },
    ];
  });
  const count = found[0]?.count ?? 0;
  return { shown, count, pages: Math.ceil(count / MIXES_SHOWN) };
}
