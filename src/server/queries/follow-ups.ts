import { asc, eq, type SQL } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { followUps, people } from '@/db/schema';

/** What was done or decided about samples, by whom, the oldest first. @param which of the follow-ups */
export async function followUpsOf(db: Queryable, which: SQL) {
  return db
    .select({
      sampleId: followUps.sampleId,
      stepId: followUps.stepId,
      note: followUps.note,
      byName: people.name,
      at: followUps.at,
    })
    .from(followUps)
    .innerJoin(people, eq(people.id, followUps.by))
    .where(which)
    .orderBy(asc(followUps.at));
}
