import { and, asc, eq } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { sampleLabel } from '@/core/identity/labels';
import { type ExportRow, RECORD_FORMAT, RECORD_VERSION, type RunRecord } from '@/core/interchange';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { jobs, mixes, people, placements, samples, specimens } from '@/db/schema';
import { NotFound } from '../errors';
import { anyOf, readableJobs } from '../scope';
import type { Actor } from '../use-case';
import { type RunView, runViews } from './dossier';

/**
 * Completed runs of one method on a job, as records. For a client only those that a signed report rests on.
 * @param detail `table`: without setup and working, which a table has no column for
 */
export async function exportRecords(
  db: Queryable,
  actor: Actor,
  wanted: { jobId: string; method: string },
  detail: 'whole' | 'table' = 'whole',
): Promise<ExportRow[]> {
  const method = findMethod(wanted.method);
  if (!method) throw new NotFound('This method');
  const places = await db
    .select({ sample: samples, placement: placements, mix: mixes, job: jobs, by: people.name })
    .from(samples)
    .innerJoin(placements, eq(placements.id, samples.placementId))
    .innerJoin(mixes, eq(mixes.id, placements.mixId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(and(eq(jobs.id, wanted.jobId), readableJobs(db, actor)))
    .orderBy(asc(samples.sampledAt));
  if (method.runOn === 'placement') return placementRecords(db, actor, wanted.jobId, method.id);
  if (places.length === 0) return [];
  const sampleIds = places.map(({ sample }) => sample.id);
  const owned =
    method.runOn === 'specimen'
      ? await db
          .select()
          .from(specimens)
          .where(anyOf(specimens.sampleId, sampleIds))
          .orderBy(asc(specimens.label))
      : [];
  const views = await runViews(
    db,
    method.runOn === 'specimen' ? { specimenIds: owned.map(({ id }) => id) } : { sampleIds },
    { method: method.id, detail },
  );
  const usable = views.filter(
    (view) =>
      view.method === method.id &&
      view.state === 'complete' &&
      view.outcome !== null &&
      (actor.role !== 'client' || view.released),
  );
  const ownedBy = new Map(owned.map((each) => [each.id, each]));
  const placeBy = new Map(places.map((each) => [each.sample.id, each]));
  return usable
    .map((view) => {
      const specimen = view.specimenId ? ownedBy.get(view.specimenId) : undefined;
      const place = placeBy.get(specimen?.sampleId ?? view.sampleId ?? '');
      if (!place) return undefined;
      return { system: place.job.system, record: recordOf(view, place, specimen) };
    })
    .filter((row) => row !== undefined)
    .toSorted((a, b) =>
      String(a.record.about?.specimen ?? '').localeCompare(String(b.record.about?.specimen ?? '')),
    );
}

/** Runs made at a placement itself, such as the weather; internal, and so not for clients. */
async function placementRecords(
  db: Queryable,
  actor: Actor,
  jobId: string,
  method: string,
): Promise<ExportRow[]> {
  if (actor.role === 'client') return [];
  const places = await db
    .select({ placement: placements, mix: mixes, job: jobs })
    .from(placements)
    .innerJoin(mixes, eq(mixes.id, placements.mixId))
    .innerJoin(jobs, eq(jobs.id, placements.jobId))
    .where(eq(jobs.id, jobId))
    .orderBy(asc(placements.placedAt));
  const views = await runViews(db, { placementIds: places.map(({ placement }) => placement.id) });
  return views
    .filter((view) => view.method === method && view.state === 'complete' && view.outcome !== null)
    .flatMap((view) => {
      const place = places.find(({ placement }) => placement.id === view.placementId);
      if (!place) return [];
      const about = {
        placement: place.placement.number,
        element: place.placement.element,
        attempt: view.attempt,
        job: place.job.number,
        mix: `${place.mix.code} v${place.mix.version}`,
        tested_by: view.completedBy,
      };
      return [{ system: place.job.system, record: recordWith(view, about) }];
    });
}

function recordWith(view: RunView, about: NonNullable<RunRecord['about']>): RunRecord {
  return {
    format: RECORD_FORMAT,
    version: RECORD_VERSION,
    method: view.method,
    input: view.input ?? {},
    setup: view.setup ?? {},
    results: view.outcome?.results ?? [],
    lines: view.outcome?.lines ?? [],
    findings: view.outcome?.findings ?? [],
    conformity: view.outcome?.conformity ?? [],
    about,
  };
}

function recordOf(
  view: RunView,
  {
    sample,
    placement,
    mix,
    job,
    by,
  }: {
    sample: typeof samples.$inferSelect;
    placement: typeof placements.$inferSelect;
    mix: typeof mixes.$inferSelect;
    job: typeof jobs.$inferSelect;
    by: string;
  },
  specimen: typeof specimens.$inferSelect | undefined,
): RunRecord {
  const iso = (at: Date): string => DateTime.fromJSDate(at, { zone: job.zone }).toISO() ?? at.toISOString();
  return recordWith(view, {
    ...(specimen
      ? {
          specimen: specimen.label,
          size: specimen.size,
          cure: specimen.cure,
          cast_at: iso(specimen.castAt),
          designated_age_h: specimen.ageHours,
          age_h: specimen.testedAt
            ? Math.round(((specimen.testedAt.getTime() - specimen.castAt.getTime()) / 3_600_000) * 100) / 100
            : null,
        }
      : {}),
    sample: sampleLabel(job.number, sample.number),
    attempt: view.attempt,
    job: job.number,
    mix: `${mix.code} v${mix.version}`,
    specified_strength: mix.specifiedStrength,
    placement: placement.number,
    element: placement.element,
    ticket: sample.ticket,
    sampled_at: iso(sample.sampledAt),
    sampled_by: by,
    tested_by: view.completedBy,
  });
}
