import { and, asc, eq } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { sampleLabel } from '@/core/identity/labels';
import { type ExportRow, RECORD_FORMAT, RECORD_VERSION, type RunRecord } from '@/core/interchange';
import type { Stored } from '@/core/material/contract';
import { findMaterial } from '@/core/materials/registry';
import { fieldsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import { isMould } from '@/core/moulds';
import { capital } from '@/core/words';
import type { Queryable } from '@/db/client';
import { jobs, lots, people, samples, specifications, specimens } from '@/db/schema';
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
    .select({ sample: samples, placement: lots, mix: specifications, job: jobs, by: people.name })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(and(eq(jobs.id, wanted.jobId), readableJobs(db, actor)))
    .orderBy(asc(samples.sampledAt));
  if (method.runOn === 'lot') return placementRecords(db, actor, wanted.jobId, method.id);
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
      String(a.record.about?.specimen ?? '').localeCompare(String(b.record.about?.specimen ?? ''), 'en', {
        numeric: true,
      }),
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
    .select({ placement: lots, mix: specifications, job: jobs })
    .from(lots)
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(eq(jobs.id, jobId))
    .orderBy(asc(lots.startsAt));
  const views = await runViews(db, { lotIds: places.map(({ placement }) => placement.id) });
  return views
    .filter((view) => view.method === method && view.state === 'complete' && view.outcome !== null)
    .flatMap((view) => {
      const place = places.find(({ placement }) => placement.id === view.lotId);
      if (!place) return [];
      const about = {
        ...lotAbout(place),
        attempt: view.attempt,
        job: place.job.number,
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
    verdicts: view.outcome?.verdicts ?? [],
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
    placement: typeof lots.$inferSelect;
    mix: typeof specifications.$inferSelect;
    job: typeof jobs.$inferSelect;
    by: string;
  },
  specimen: typeof specimens.$inferSelect | undefined,
): RunRecord {
  const iso = (at: Date): string => DateTime.fromJSDate(at, { zone: job.zone }).toISO() ?? at.toISOString();
  const material = findMaterial(mix.material);
  return recordWith(view, {
    ...(specimen ? specimenAbout(specimen, iso) : {}),
    sample: sampleLabel(job.number, sample.number),
    attempt: view.attempt,
    job: job.number,
    ...lotAbout({ placement, mix }),
    ...given(material?.Sample, sample.about),
    ...(material?.comesInLoads ? { ticket: sample.ticket } : {}),
    sampled_at: iso(sample.sampledAt),
    sampled_by: by,
    tested_by: view.completedBy,
  });
}

/** What is known of a specimen; of one whose age counts also when it was made and how old it was. */
function specimenAbout(specimen: typeof specimens.$inferSelect, iso: (at: Date) => string) {
  const base = { specimen: specimen.label, size: specimen.form };
  if (!isMould(specimen.form)) return base;
  const age = specimen.testedAt ? specimen.testedAt.getTime() - specimen.since.getTime() : null;
  return {
    ...base,
    cure: specimen.about.cure ?? null,
    cast_at: iso(specimen.since),
    designated_age_h: specimen.ageHours,
    age_h: age === null ? null : Math.round((age / 3_600_000) * 100) / 100,
  };
}

/** A lot and what is asked of it, under the words of its material. */
function lotAbout({
  placement,
  mix,
}: {
  placement: typeof lots.$inferSelect;
  mix: typeof specifications.$inferSelect;
}) {
  const material = findMaterial(mix.material);
  if (!material) return {};
  const { words, lotFields, Lot } = material;
  return {
    [column(words.specification[0])]: `${mix.code} v${mix.version}`,
    ...(mix.asked.specifiedStrength ? { specified_strength: mix.asked.specifiedStrength } : {}),
    [column(words.lot[0])]: placement.number,
    // Where a lot goes by its title the number stands beside it.
    [column(lotFields.title === capital(words.lot[0]) ? 'title' : lotFields.title)]: placement.title,
    ...(material.comesInLoads ? {} : given(Lot, { ...placement.about })),
  };
}

/** What was given of a class of fields, by the name of each. */
function given(type: (new () => object) | undefined, stored: Stored): Record<string, string> {
  return Object.fromEntries(
    fieldsOf(type ?? Object).flatMap(({ name }) => {
      const value = stored[name];
      return typeof value === 'string' && value !== '' ? [[snake(name), value]] : [];
    }),
  );
}

const column = (word: string): string => word.toLowerCase().replaceAll(' ', '_');
const snake = (name: string): string => name.replaceAll(/[A-Z]/gu, (letter) => `_${letter.toLowerCase()}`);
