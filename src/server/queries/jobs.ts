import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { laboratoryOf } from '@/core/laboratory/details';
import type { System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import { jobs, lots, people, samples, specifications, specimens } from '@/db/schema';
import { present, readableJobs } from '../scope';
import { SETTING, settingNow } from '../settings';
import type { Actor } from '../use-case';

/** The jobs a person may read, with how much is going on in each. */
export async function jobList(db: Queryable, actor: Actor) {
  return db
    .select({
      id: jobs.id,
      number: jobs.number,
      name: jobs.name,
      owner: jobs.owner,
      location: jobs.location,
      system: jobs.system,
      zone: jobs.zone,
      // Written out: in a select from one table Drizzle leaves the table off its columns, also inside a subquery.
      placements: sql<number>`(select count(*)::int from lots p where p.job_id = jobs.id)`,
      samples: sql<number>`(select count(*)::int from samples s where s.job_id = jobs.id)`,
    })
    .from(jobs)
    .where(readableJobs(db, actor))
    .orderBy(asc(jobs.number));
}

/** One job with its mixes and its lots, newest first, each with its samples. */
export async function jobDetail(db: Queryable, actor: Actor, jobId: string) {
  const [found] = await db
    .select()
    .from(jobs)
    .where(and(eq(jobs.id, jobId), readableJobs(db, actor)));
  const job = present(found, 'This job');
  const ownMixes = await db
    .select()
    .from(specifications)
    .where(eq(specifications.jobId, job.id))
    .orderBy(asc(specifications.code), desc(specifications.version));
  const ownPlacements = await db
    .select({
      placement: lots,
      mixCode: specifications.code,
      material: specifications.material,
      sampled: sql<boolean>`exists (select from samples s where s.lot_id = ${lots.id})`,
    })
    .from(lots)
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .where(eq(lots.jobId, job.id))
    .orderBy(desc(lots.startsAt));
  const ownSamples = await db
    .select({
      id: samples.id,
      number: samples.number,
      lotId: samples.lotId,
      ticket: samples.ticket,
      sampledAt: samples.sampledAt,
      sampledBy: people.name,
      specimens: sql<number>`(select count(*)::int from ${specimens} where ${specimens.sampleId} = ${samples.id})`,
      broken: sql<number>`(select count(*)::int from ${specimens} where ${specimens.sampleId} = ${samples.id} and ${specimens.testedAt} is not null)`,
    })
    .from(samples)
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(eq(samples.jobId, job.id))
    .orderBy(desc(samples.sampledAt));
  return { job, mixes: ownMixes, placements: ownPlacements, samples: ownSamples };
}

/** Jobs with their specifications by name, for choosing where something is placed. */
export async function jobsToPlace(db: Queryable, actor: Actor) {
  const rows = await db
    .select({
      id: jobs.id,
      number: jobs.number,
      name: jobs.name,
      zone: jobs.zone,
      system: jobs.system,
      material: specifications.material,
      specificationId: specifications.id,
      code: specifications.code,
      version: specifications.version,
      title: specifications.title,
    })
    .from(jobs)
    .leftJoin(specifications, eq(specifications.jobId, jobs.id))
    .where(readableJobs(db, actor))
    .orderBy(asc(jobs.number), asc(specifications.code), desc(specifications.version));
  interface Choice {
    id: string;
    name: string;
    zone: string;
    system: System;
    specifications: { id: string; name: string; material: string }[];
  }
  const found = new Map<string, Choice>();
  for (const { id, number, name, zone, system, material, specificationId, code, version, title } of rows) {
    const job = found.get(id) ?? { id, name: `${number} ${name}`, zone, system, specifications: [] };
    if (specificationId && material)
      job.specifications.push({ id: specificationId, name: `${code} v${version}, ${title}`, material });
    found.set(id, job);
  }
  return [...found.values()];
}

/** Placements listed at once; a busy laboratory's others are reached through their jobs. */
const PLACEMENTS_SHOWN = 12;

/** Placements of the last days on all jobs, the nearest to now first, for the field to choose from. */
export async function recentPlacements(db: Queryable, actor: Actor, now: Date) {
  const rows = await db
    .select({ placement: lots, mix: specifications, job: jobs })
    .from(lots)
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(
      and(
        readableJobs(db, actor),
        sql`${lots.startsAt} between ${new Date(now.getTime() - 2 * 86_400_000).toISOString()}::timestamptz and ${new Date(now.getTime() + 2 * 86_400_000).toISOString()}::timestamptz`,
      ),
    )
    .orderBy(sql`abs(extract(epoch from ${lots.startsAt} - ${now.toISOString()}::timestamptz))`)
    .limit(PLACEMENTS_SHOWN + 1);
  const more = rows.length > PLACEMENTS_SHOWN;
  rows.splice(PLACEMENTS_SHOWN);
  const taken =
    rows.length === 0
      ? []
      : await db
          .select({
            id: samples.id,
            number: samples.number,
            lotId: samples.lotId,
            ticket: samples.ticket,
            sampledAt: samples.sampledAt,
          })
          .from(samples)
          .where(
            inArray(
              samples.lotId,
              rows.map(({ placement }) => placement.id),
            ),
          )
          .orderBy(asc(samples.number));
  return {
    more,
    placements: rows.map((row) => ({
      ...row,
      samples: taken.filter((s) => s.lotId === row.placement.id),
    })),
  };
}

/** The zone of what belongs to the laboratory and to no job: as it says itself, else the one that most jobs lie in. */
export async function usualZone(db: Queryable): Promise<string> {
  const said = await settingNow(db, SETTING.laboratory);
  if (said !== undefined) return laboratoryOf(said).zone;
  const [found] = await db
    .select({ zone: jobs.zone })
    .from(jobs)
    .groupBy(jobs.zone)
    .orderBy(desc(sql`count(*)`), asc(jobs.zone))
    .limit(1);
  return found?.zone ?? 'UTC';
}
