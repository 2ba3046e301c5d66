import { and, asc, eq, isNotNull, type SQL } from 'drizzle-orm';
import { findCriterion } from '@/core/acceptance';
import { groupBy } from '@/core/group-by';
import { sampleLabel } from '@/core/identity/labels';
import type { SampleOfLot } from '@/core/material/contract';
import { findMaterial } from '@/core/materials/registry';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import { jobs, lots, people, reports, samples, specifications } from '@/db/schema';
import { present, readableJobs } from '../scope';
import { setsOfSamples } from '../sets';
import type { Actor } from '../use-case';
import { runViews } from './dossier';

/** Everything about one sample, and what all of its tests say together where its material has a word on that. */
export async function sampleDossier(db: Queryable, actor: Actor, sampleId: string) {
  const [found] = await sampleDossiers(db, actor, eq(samples.id, sampleId));
  const dossier = present(found, 'This sample');
  const { job, mix, limits } = dossier;
  const says =
    findMaterial(mix.material)?.sampleSays?.(sampleOfLot(dossier), {
      mode: job.rounding,
      system: job.system,
      limits,
      asked: { ...mix.asked },
      tests: [],
    }) ?? null;
  return {
    ...dossier,
    says,
    reports: await reportsOf(db, eq(reports.sampleId, sampleId), actor.role === 'client'),
  };
}

/** A sample with what its sets and its own tests came to, as its material looks at it. */
export function sampleOfLot({
  job,
  sample,
  sets,
  fresh,
}: Pick<
  Awaited<ReturnType<typeof sampleDossiers>>[number],
  'job' | 'sample' | 'sets' | 'fresh'
>): SampleOfLot {
  const valid = fresh.flatMap(({ method, state, outcome }) =>
    state === 'complete' && outcome && isReportable(outcome.findings)
      ? [{ method, verdicts: outcome.verdicts }]
      : [],
  );
  return {
    label: sampleLabel(job.number, sample.number),
    about: sample.about,
    results: sets.flatMap(({ mean, test }) => (mean ? [{ ...mean, count: test.used.length }] : [])),
    found: Object.assign({}, ...sets.map(({ derived }) => derived?.values ?? {})),
    verdicts: [...sets, ...valid].flatMap(({ method, verdicts }) =>
      verdicts.map(({ criterion, state }) => ({
        title: findCriterion(criterion)?.title ?? criterion,
        state,
        method,
      })),
    ),
    tested: valid.map(({ method }) => method),
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
