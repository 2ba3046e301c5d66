import { and, asc, eq, isNotNull, type SQL } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import type { Queryable } from '@/db/client';
import { jobs, lots, people, reports, samples, specifications } from '@/db/schema';
import { present, readableJobs } from '../scope';
import { setsOfSamples } from '../sets';
import type { Actor } from '../use-case';
import { runViews } from './dossier';

/** Everything about one sample. */
export async function sampleDossier(db: Queryable, actor: Actor, sampleId: string) {
  const [found] = await sampleDossiers(db, actor, eq(samples.id, sampleId));
  return {
    ...present(found, 'This sample'),
    reports: await reportsOf(db, eq(reports.sampleId, sampleId), actor.role === 'client'),
  };
}

/** Samples with what was tested of them and the sets they make, asked for together, in the order of their numbers. */
export async function sampleDossiers(db: Queryable, actor: Actor, which: SQL) {
  const found = await db
    .select({ sample: samples, placement: lots, mix: specifications, job: jobs, sampledByName: people.name })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(and(which, readableJobs(db, actor)))
    .orderBy(asc(samples.number));
  const releasedOnly = actor.role === 'client';
  const fresh = groupBy(
    await runViews(db, { sampleIds: found.map(({ sample }) => sample.id) }),
    ({ sampleId }) => sampleId,
  );
  return (await setsOfSamples(db, found, releasedOnly)).map(({ place, ...whole }) => ({
    ...place,
    ...whole,
    fresh: (fresh.get(place.sample.id) ?? []).filter(({ released }) => !releasedOnly || released),
  }));
}

/** The reports of a lot, for staff. */
export function reportsOfLot(db: Queryable, lotId: string) {
  return reportsOf(db, eq(reports.lotId, lotId), false);
}

/** The reports of a sample or a lot, as its revisions follow. */
export async function reportsOf(db: Queryable, of: SQL, signedOnly: boolean) {
  return db
    .select({
      id: reports.id,
      number: reports.number,
      revision: reports.revision,
      state: reports.state,
      signedAt: reports.signedAt,
      preparedAt: reports.preparedAt,
    })
    .from(reports)
    .where(and(of, signedOnly ? isNotNull(reports.signedAt) : undefined))
    .orderBy(asc(reports.revision));
}
