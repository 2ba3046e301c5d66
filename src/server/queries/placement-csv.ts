import { asc, eq } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { clockLogCsv, custodyCsv } from '@/core/interchange';
import type { Queryable } from '@/db/client';
import { handovers, people, samples, specimenEvents, specimens } from '@/db/schema';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';
import { placementDay } from './placement';

/** What a placement leaves as a table: the clocks of its samples, or the custody of its specimens. */
export async function placementCsv(
  db: Queryable,
  actor: Actor,
  lotId: string,
  what: 'clocks' | 'custody',
): Promise<string> {
  staffOnly(actor);
  const day = await placementDay(db, actor, lotId);
  if (what === 'clocks') {
    return clockLogCsv(
      day.samples.map(({ label, events, made }) => ({ label, stamps: events, made })),
      day.limits,
      day.job.system,
    );
  }
  const giver = alias(people, 'giver');
  const rows = await db
    .select({
      specimen: specimens.label,
      event: specimenEvents.kind,
      at: specimenEvents.at,
      from: giver.name,
      to: people.name,
      place: specimenEvents.place,
      condition: handovers.condition,
      note: specimenEvents.note,
    })
    .from(specimenEvents)
    .innerJoin(specimens, eq(specimens.id, specimenEvents.specimenId))
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(people, eq(people.id, specimenEvents.personId))
    .leftJoin(handovers, eq(handovers.id, specimenEvents.handoverId))
    .leftJoin(giver, eq(giver.id, handovers.fromPersonId))
    .where(eq(samples.lotId, lotId))
    .orderBy(asc(specimens.label), asc(specimenEvents.at));
  return custodyCsv(rows.map((row) => ({ ...row, from: row.from ?? '', condition: row.condition ?? '' })));
}
