import { and, asc, desc, eq, inArray, ne } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Queryable } from '@/db/client';
import { handovers, jobs, lots, people, samples, specimenEvents, specimens } from '@/db/schema';
import { present, staffOnly } from '../scope';
import type { Actor } from '../use-case';

/** The specimens of a placement with where they are, the people who may give them, and the hand-overs so far. */
export async function custody(db: Queryable, actor: Actor, lotId: string) {
  staffOnly(actor);
  const [found] = await db
    .select({ placement: lots, job: jobs })
    .from(lots)
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(eq(lots.id, lotId));
  const place = present(found, 'This placement');
  const own = await db
    .select({ id: specimens.id, label: specimens.label })
    .from(specimens)
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .where(eq(samples.lotId, lotId))
    .orderBy(asc(specimens.label));
  const ids = own.map(({ id }) => id);
  const last =
    ids.length === 0
      ? []
      : await db
          .selectDistinctOn([specimenEvents.specimenId], {
            specimenId: specimenEvents.specimenId,
            kind: specimenEvents.kind,
            place: specimenEvents.place,
          })
          .from(specimenEvents)
          .where(and(inArray(specimenEvents.specimenId, ids), ne(specimenEvents.kind, 'note')))
          .orderBy(specimenEvents.specimenId, desc(specimenEvents.at), desc(specimenEvents.savedAt));
  const giver = alias(people, 'giver');
  const taker = alias(people, 'taker');
  const past =
    ids.length === 0
      ? []
      : await db
          .selectDistinctOn([handovers.at, handovers.id], {
            id: handovers.id,
            kind: handovers.kind,
            at: handovers.at,
            from: giver.name,
            to: taker.name,
            place: handovers.place,
            condition: handovers.condition,
            count: handovers.count,
            note: handovers.note,
          })
          .from(handovers)
          .innerJoin(specimenEvents, eq(specimenEvents.handoverId, handovers.id))
          .innerJoin(giver, eq(giver.id, handovers.fromPersonId))
          .innerJoin(taker, eq(taker.id, handovers.toPersonId))
          .where(inArray(specimenEvents.specimenId, ids))
          .orderBy(desc(handovers.at), handovers.id);
  const staff = await db
    .select({ id: people.id, name: people.name })
    .from(people)
    .where(ne(people.role, 'client'))
    .orderBy(asc(people.name));
  return {
    ...place,
    people: staff,
    specimens: own.map((specimen) => {
      const state = last.find(({ specimenId }) => specimenId === specimen.id);
      return { ...specimen, state: state ? `${state.kind}${state.place ? `, ${state.place}` : ''}` : '' };
    }),
    past,
  };
}
