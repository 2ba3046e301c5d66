import { and, asc, eq } from 'drizzle-orm';
import { type Decided, findCriterion, looksAtSeveral, seriesStanding } from '@/core/acceptance';
import { STRENGTH } from '@/core/materials/concrete/series';
import type { Queryable } from '@/db/client';
import { jobs, lots, samples, sets, specifications, verdicts } from '@/db/schema';
import { seriesRow } from '@/server/queries/series';
import { limitsOfJobs } from '@/server/run-setup';
import { present, readableJobs } from '@/server/scope';
import type { Actor } from '@/server/use-case';
import { askedOf } from '@/server/verdicts';

/** The whole series of a mix as it is projected: every test in sampling order, and how they stand. */
export async function mixSeries(db: Queryable, actor: Actor, specificationId: string, rule = STRENGTH) {
  const [found] = await db
    .select({ mix: specifications, job: jobs })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(and(eq(specifications.id, specificationId), readableJobs(db, actor)));
  const { mix, job } = present(found, 'This mix');
  const released = actor.role === 'client';
  const limits = (await limitsOfJobs(db, [job]))(job);
  const kept = await db
    .select({ set: sets, element: lots.title })
    .from(sets)
    .innerJoin(samples, eq(samples.id, sets.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(and(eq(sets.specificationId, mix.id), eq(sets.released, released), eq(sets.series, rule.id)))
    .orderBy(asc(sets.sampledAt), asc(sets.label));
  const rows = kept.map(seriesRow);
  const place = new Map(rows.map((row, index) => [row.id, index]));
  const decided = (
    await db
      .select()
      .from(verdicts)
      .where(
        and(eq(verdicts.specificationId, mix.id), eq(verdicts.released, released), eq(verdicts.key, rule.id)),
      )
  ).toSorted((one, two) => (place.get(one.sampleId) ?? 0) - (place.get(two.sampleId) ?? 0));
  const of = (inRow: boolean): Decided[] =>
    decided.filter(
      ({ criterion }) => looksAtSeveral(findCriterion(criterion) ?? { population: 'each' }) === inRow,
    );
  return {
    mix,
    rows,
    verdicts: seriesStanding(
      rows,
      { windows: of(true), individuals: of(false) },
      askedOf(rule, mix.asked, job, limits),
    ),
  };
}
