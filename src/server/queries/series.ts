import { and, asc, eq, sql } from 'drizzle-orm';
import {
  type Criterion,
  type Decided,
  findCriterion,
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
  type SetTold,
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

export interface SeriesRow extends SeriesPoint, SetTold {
  readonly sampleId: string;
  readonly element: string;
  /** How many specimens its set has. */
  readonly members: number;
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
  const standing = await standingBy(
    db,
    found.map(({ mix }) => mix.id),
    actor.role === 'client',
  );
  const limitsBy = await limitsOfJobs(
    db,
    found.map(({ job }) => job),
  );
  const shown = found.map(({ mix, job }): ShownSpecification => {
    const { states, governing, taken, tested, waiting, valid, before } = standing(mix.id);
    const material = findMaterial(mix.material);
    const inSeries = material?.comesInLoads === true;
    const decided = states.filter((state) => !inSeries || state !== 'not yet determinable');
    return {
      mix,
      job,
      state: summarise(decided.map((state) => ({ state }))),
      words: inSeries
        ? `${valid - waiting} tests decided, ${waiting} waiting.`
        : `${tested} of ${taken} ${material?.words.sample[1]} tested.`,
      needed: inSeries
        ? (seriesStanding<Decided>(
            before,
            { windows: [], individuals: [] },
            specifiedValue(mix.asked, job.system),
            job.system,
            limitsBy(job),
            job.rounding,
          ).needed?.text ?? null)
        : null,
      governing,
    };
  });
  const count = found[0]?.count ?? 0;
  return { shown, count, pages: Math.ceil(count / MIXES_SHOWN) };
}

interface StandingRow extends Record<string, unknown> {
  readonly id: string;
  readonly states: readonly VerdictState[] | null;
  readonly governing: string | null;
  readonly taken: number;
  readonly tested: number;
  readonly waiting: number;
  readonly valid: number;
  readonly before: readonly { readonly value: string; readonly at: string; readonly label: string }[] | null;
}

/** How specifications stand, counted where the verdicts are kept: no test of them is read. */
async function standingBy(db: Queryable, ids: readonly string[], released: boolean) {
  const { rows } = await db.execute<StandingRow>(sql`
    SELECT m.id, d.states, g.sentence AS governing, n.taken, c.tested, c.waiting, c.valid, b.before
    FROM specifications m
    CROSS JOIN LATERAL (SELECT array_agg(DISTINCT v.state) AS states FROM verdicts v
      WHERE v.specification_id = m.id AND v.released = ${released}) d
    LEFT JOIN LATERAL (SELECT v.sentence FROM verdicts v
      WHERE v.specification_id = m.id AND v.released = ${released} AND v.share IS NOT NULL
      ORDER BY v.share, v.criterion DESC LIMIT 1) g ON true
    CROSS JOIN LATERAL (SELECT count(*)::int AS taken FROM samples s JOIN lots l ON l.id = s.lot_id
      WHERE l.specification_id = m.id) n
    CROSS JOIN LATERAL (SELECT (count(DISTINCT s.sample_id) FILTER (WHERE s.state = 'tested'))::int AS tested,
        (count(*) FILTER (WHERE s.counts AND s.state = 'pending'))::int AS waiting,
        (count(*) FILTER (WHERE s.counts AND s.state <> 'no valid result'))::int AS valid
      FROM sets s WHERE s.specification_id = m.id AND s.released = ${released}) c
    -- The two tests before the first that waits: what the next must reach hangs on them.
    CROSS JOIN LATERAL (
      SELECT json_agg(t ORDER BY t.at, t.label) AS before FROM (
        SELECT s.value, s.sampled_at AS at, s.label FROM sets s
        WHERE s.specification_id = m.id AND s.released = ${released} AND s.counts AND s.state = 'tested'
          AND NOT EXISTS (SELECT FROM sets p WHERE p.specification_id = m.id AND p.released = ${released} AND p.counts
            AND p.state = 'pending' AND (p.sampled_at, p.label) < (s.sampled_at, s.label))
        ORDER BY s.sampled_at DESC, s.label DESC LIMIT 2) t) b
    WHERE m.id = ANY(${sql.param([...ids])}::uuid[])`);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return (id: string) => {
    const row = byId.get(id);
    return {
      states: row?.states ?? [],
      governing: row?.governing ?? null,
      taken: row?.taken ?? 0,
      tested: row?.tested ?? 0,
      waiting: row?.waiting ?? 0,
      valid: row?.valid ?? 0,
      before: (row?.before ?? []).map(
        ({ value, at, label }): SeriesPoint => ({
          id: label,
          label,
          sampledAt: Date.parse(at),
          value,
          state: 'tested',
          engineer: [],
        }),
      ),
    };
  };
}
