import { and, asc, eq, sql } from 'drizzle-orm';
import {
  type Criterion,
  type Decided,
  findCriterion,
  governingOf,
  type SeriesPoint,
  type SeriesVerdicts,
  seriesStanding,
  summarise,
  type VerdictState,
} from '@/core/acceptance';
import type { Limits } from '@/core/limits';
import { findMaterial } from '@/core/materials/registry';
import type { Queryable } from '@/db/client';
import {
  followUps,
  jobs,
  lots,
  people,
  requirements,
  samples,
  sets,
  specifications,
  verdicts,
} from '@/db/schema';
import { groupBy } from '../group-by';
import { limitsOfJobs } from '../run-setup';
import { anyOf, present, readableJobs } from '../scope';
import type { Actor } from '../use-case';
import { specifiedValue } from '../verdicts';

export interface SeriesRow extends SeriesPoint {
  readonly sampleId: string;
  readonly element: string;
  /** How many specimens its set has. */
  readonly members: number;
  /** Their strengths as reported; unrounded where every one of them counts. */
  readonly singles: readonly string[];
  readonly whole: readonly string[] | null;
  /** Result of the youngest set of the same sample, for early warning. */
  readonly early: { readonly ageHours: number; readonly text: string } | null;
}

export interface MixSeries {
  readonly job: typeof jobs.$inferSelect;
  readonly mix: typeof specifications.$inferSelect;
  readonly criteria: readonly (typeof requirements.$inferSelect)[];
  readonly rows: readonly SeriesRow[];
  readonly limits: Limits;
  readonly verdicts: SeriesVerdicts<Decided>;
  readonly followUps: readonly { sampleId: string; stepId: string; note: string; byName: string; at: Date }[];
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
  const limitsBy = await limitsOfJobs(
    db,
    found.map(({ job }) => job),
  );
  const releasedOnly = actor.role === 'client';
  const kept = await db
    .select({ set: sets, element: lots.title })
    .from(sets)
    .innerJoin(samples, eq(samples.id, sets.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(and(anyOf(sets.specificationId, readable), eq(sets.released, releasedOnly), sets.counts))
    .orderBy(asc(sets.sampledAt), asc(sets.label));
  const decided = groupBy(
    await db
      .select()
      .from(verdicts)
      .where(and(anyOf(verdicts.specificationId, readable), eq(verdicts.released, releasedOnly))),
    ({ specificationId }) => specificationId,
  );
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
  const keptBy = groupBy(kept, ({ set }) => set.specificationId);
  const series: MixSeries[] = [];
  for (const id of specificationIds) {
    const own = found.find(({ mix }) => mix.id === id);
    if (!own) continue;
    const { mix, job } = own;
    const limits = limitsBy(job);
    const rows = (keptBy.get(id) ?? []).map(rowOf);
    const place = new Map(rows.map((row, index) => [row.id, index]));
    const inOrder = (decided.get(id) ?? []).toSorted(
      (one, two) => (place.get(one.sampleId) ?? 0) - (place.get(two.sampleId) ?? 0),
    );
    const of = (wanted: Criterion['population']): Decided[] =>
      inOrder.filter(({ criterion }) => findCriterion(criterion)?.population === wanted);
    series.push({
      job,
      mix,
      criteria: criteria.filter(({ specificationId }) => specificationId === id),
      rows,
      limits,
      verdicts: seriesStanding(
        rows,
        { windows: of('three in a row'), individuals: of('each') },
        specifiedValue(mix.asked, job.system),
        job.system,
        limits,
        job.rounding,
      ),
      followUps: releasedOnly ? [] : done.filter(({ specificationId }) => specificationId === id),
    });
    // What others ask for meanwhile comes in between two specifications.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return series;
}

/** A strength test of a series as it is kept. */
function rowOf({ set, element }: { set: typeof sets.$inferSelect; element: string }): SeriesRow {
  const { sampleId, label, sampledAt, value, state, members, told } = set;
  return {
    id: sampleId,
    sampleId,
    label,
    sampledAt: sampledAt.getTime(),
    value,
    state,
    element,
    members,
    ...told,
  };
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
      mix: specifications,
      job: jobs,
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
    found.filter(({ mix }) => inSeries(mix.material)).map(({ mix }) => mix.id),
  );
  const alone = await judgedAlone(
    db,
    found.filter(({ mix }) => !inSeries(mix.material)).map(({ mix }) => mix.id),
    actor.role === 'client',
  );
  const shown = found.map(({ mix, job }): ShownSpecification => {
    const own = series.find((each) => each.mix.id === mix.id);
    if (own) {
      const { individuals, soFar, needed, governing } = own.verdicts;
      return {
        mix,
        job,
        state: soFar.state,
        words: `${individuals.length - soFar.waiting} tests decided, ${soFar.waiting} waiting.`,
        needed: needed?.text ?? null,
        governing: governing?.sentence ?? null,
      };
    }
    const { taken, tested, held } = alone(mix.id);
    return {
      mix,
      job,
      state: summarise(held),
      words: `${tested} of ${taken} ${findMaterial(mix.material)?.words.sample[1]} tested.`,
      needed: null,
      governing: governingOf(held)?.sentence ?? null,
    };
  });
  const count = found[0]?.count ?? 0;
  return { shown, count, pages: Math.ceil(count / MIXES_SHOWN) };
}

/** What is decided of specifications whose samples are judged each by itself. */
async function judgedAlone(db: Queryable, ids: readonly string[], released: boolean) {
  const held =
    ids.length === 0
      ? []
      : await db
          .select()
          .from(verdicts)
          .where(and(anyOf(verdicts.specificationId, ids), eq(verdicts.released, released)));
  const counted =
    ids.length === 0
      ? []
      : await db
          .select({
            id: lots.specificationId,
            taken: sql<number>`count(DISTINCT ${samples.id})::int`,
            tested: sql<number>`(count(DISTINCT ${sets.sampleId}) FILTER (WHERE ${sets.state} = 'tested'))::int`,
          })
          .from(samples)
          .innerJoin(lots, eq(lots.id, samples.lotId))
          .leftJoin(sets, and(eq(sets.sampleId, samples.id), eq(sets.released, released)))
          .where(anyOf(lots.specificationId, ids))
          .groupBy(lots.specificationId);
  const heldBy = groupBy(held, ({ specificationId }) => specificationId);
  return (id: string) => {
    const { taken = 0, tested = 0 } = counted.find((each) => each.id === id) ?? {};
    return { taken, tested, held: heldBy.get(id) ?? [] };
  };
}
