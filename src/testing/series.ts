import { and, asc, eq } from 'drizzle-orm';
import {
  type Criterion,
  type Decided,
  findCriterion,
  type SeriesVerdicts,
  seriesStanding,
} from '@/core/acceptance';
import type { Limits } from '@/core/limits';
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
import { groupBy } from '@/server/group-by';
import { type SeriesRow, seriesRow } from '@/server/queries/series';
import { limitsOfJobs } from '@/server/run-setup';
import { anyOf, present, readableJobs } from '@/server/scope';
import type { Actor } from '@/server/use-case';
import { specifiedValue } from '@/server/verdicts';

interface MixSeries {
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
    const rows = (keptBy.get(id) ?? []).map(seriesRow);
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
