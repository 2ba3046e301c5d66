import { and, asc, eq, gte, isNotNull, isNull, lte, notExists, or } from 'drizzle-orm';
import { type WindowState, windowState } from '@/core/windows';
import type { Queryable } from '@/db/client';
import { jobs, mixes, placements, runs, samples, specimenEvents, specimens } from '@/db/schema';
import { limitsNow } from '../run-setup';
import { readableJobs } from '../scope';
import type { Actor } from '../use-case';

export interface Bracket {
  readonly specimenId: string;
  readonly label: string;
  readonly sampleId: string;
  readonly jobName: string;
  readonly mixCode: string;
  readonly element: string;
  readonly size: string;
  readonly ageHours: number;
  readonly castAt: number;
  readonly opensAt: number;
  readonly closesAt: number;
  readonly testedAt: number | null;
  readonly state: WindowState;
  readonly zone: string;
}

const DAY = 86_400_000;

/** Windows around now: missed ones not yet broken, open ones, those that open within a week, and what was done today. */
export async function brackets(db: Queryable, actor: Actor, now: Date): Promise<Bracket[]> {
  const limits = await limitsNow(db);
  const rows = await db
    .select({ specimen: specimens, sample: samples, placement: placements, mix: mixes, job: jobs })
    .from(specimens)
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(placements, eq(placements.id, samples.placementId))
    .innerJoin(mixes, eq(mixes.id, placements.mixId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(
      and(
        readableJobs(db, actor),
        isNotNull(specimens.closesAt),
        lte(specimens.opensAt, new Date(now.getTime() + 8 * DAY)),
        or(
          and(isNull(specimens.testedAt), gte(specimens.closesAt, new Date(now.getTime() - 45 * DAY))),
          gte(specimens.testedAt, new Date(now.getTime() - DAY)),
        ),
        isNull(specimens.discardedAt),
      ),
    )
    .orderBy(asc(specimens.closesAt), asc(specimens.label))
    .limit(2000);
  return rows.map(({ specimen, sample, placement, mix, job }) => {
    const opensAt = specimen.opensAt?.getTime() ?? 0;
    const closesAt = specimen.closesAt?.getTime() ?? 0;
    const testedAt = specimen.testedAt?.getTime() ?? null;
    return {
      specimenId: specimen.id,
      label: specimen.label,
      sampleId: sample.id,
      jobName: job.name,
      mixCode: mix.code,
      element: placement.element,
      size: specimen.size,
      ageHours: specimen.ageHours ?? 0,
      castAt: specimen.castAt.getTime(),
      opensAt,
      closesAt,
      testedAt,
      state: windowState({ opensAt, closesAt }, now.getTime(), limits, testedAt),
      zone: job.zone,
    };
  });
}

/** Fresh tests still open on samples of the last day: what the field owes now. */
export async function openFreshTests(db: Queryable, actor: Actor, now: Date) {
  return db
    .select({
      sampleId: samples.id,
      number: samples.number,
      job: jobs.number,
      method: runs.method,
      sampledAt: samples.sampledAt,
    })
    .from(runs)
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(
      and(
        readableJobs(db, actor),
        eq(runs.state, 'open'),
        gte(samples.sampledAt, new Date(now.getTime() - DAY)),
      ),
    )
    .orderBy(asc(samples.sampledAt));
}
