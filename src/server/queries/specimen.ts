import { and, asc, desc, eq, ilike, or } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { sampleLabel } from '@/core/identity/labels';
import type { Queryable } from '@/db/client';
import { handovers, jobs, lots, people, samples, specimenEvents, specimens } from '@/db/schema';
import { likeWords, present, readableJobs, staffOnly } from '../scope';
import type { Actor } from '../use-case';
import { specimenViews } from './dossier';
import { sampleDossier } from './sample';

/** One specimen with its sample and everything that happened to it. */
export async function specimenDetail(db: Queryable, actor: Actor, specimenId: string) {
  staffOnly(actor);
  const [found] = await db.select().from(specimens).where(eq(specimens.id, specimenId));
  const specimen = present(found, 'This specimen');
  const dossier = await sampleDossier(db, actor, specimen.sampleId);
  const [view] = (await specimenViews(db, [specimen.sampleId])).filter(({ id }) => id === specimenId);
  const giver = alias(people, 'giver');
  const events = await db
    .select({
      id: specimenEvents.id,
      kind: specimenEvents.kind,
      at: specimenEvents.at,
      note: specimenEvents.note,
      place: specimenEvents.place,
      byName: people.name,
      fromName: giver.name,
    })
    .from(specimenEvents)
    .innerJoin(people, eq(people.id, specimenEvents.personId))
    .leftJoin(handovers, eq(handovers.id, specimenEvents.handoverId))
    .leftJoin(giver, eq(giver.id, handovers.fromPersonId))
    .where(eq(specimenEvents.specimenId, specimenId))
    .orderBy(asc(specimenEvents.at), asc(specimenEvents.savedAt));
  return { dossier, specimen: present(view, 'This specimen'), events };
}

export interface Hit {
  readonly kind: 'specimen' | 'sample' | 'job';
  readonly id: string;
  readonly label: string;
  readonly detail: string;
}

/** Finds specimens by label, samples by ticket or number, jobs by number, name or owner. */
export async function search(db: Queryable, actor: Actor, words: string): Promise<Hit[]> {
  const wanted = words.trim();
  if (wanted === '') return [];
  const like = likeWords(wanted);
  const scope = readableJobs(db, actor);
  const ownSpecimens =
    actor.role === 'client'
      ? []
      : await db
          .select({ id: specimens.id, label: specimens.label, element: lots.title })
          .from(specimens)
          .innerJoin(samples, eq(samples.id, specimens.sampleId))
          .innerJoin(lots, eq(lots.id, samples.lotId))
          .where(ilike(specimens.label, like))
          .orderBy(desc(specimens.since), asc(specimens.label))
          .limit(8);
  const ownSamples = await db
    .select({
      id: samples.id,
      number: samples.number,
      ticket: samples.ticket,
      job: jobs.number,
      element: lots.title,
    })
    .from(samples)
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(and(scope, or(ilike(samples.ticket, like), ilike(lots.title, like))))
    .orderBy(desc(samples.sampledAt))
    .limit(6);
  const ownJobs = await db
    .select({ id: jobs.id, number: jobs.number, name: jobs.name, owner: jobs.owner })
    .from(jobs)
    .where(and(scope, or(ilike(jobs.number, like), ilike(jobs.name, like), ilike(jobs.owner, like))))
    .limit(5);
  return [
    ...ownSpecimens.map(({ id, label, element }) => ({
      kind: 'specimen' as const,
      id,
      label,
      detail: element,
    })),
    ...ownSamples.map((sample) => ({
      kind: 'sample' as const,
      id: sample.id,
      label: sampleLabel(sample.job, sample.number),
      detail: `${sample.element}${sample.ticket ? `, ticket ${sample.ticket}` : ''}`,
    })),
    ...ownJobs.map((job) => ({
      kind: 'job' as const,
      id: job.id,
      label: `${job.number} ${job.name}`,
      detail: job.owner,
    })),
  ];
}
