import { desc, eq } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { people, practiceAttempts } from '@/db/schema';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';

const SHOWN = 200;

/** The attempts of a person, newest first; for a manager those of everybody. */
export async function practiceRecord(db: Queryable, actor: Actor) {
  staffOnly(actor);
  return db
    .select({
      id: practiceAttempts.id,
      personId: practiceAttempts.personId,
      name: people.name,
      drill: practiceAttempts.drill,
      timed: practiceAttempts.timed,
      finishedAt: practiceAttempts.finishedAt,
      passed: practiceAttempts.passed,
      score: practiceAttempts.score,
    })
    .from(practiceAttempts)
    .innerJoin(people, eq(people.id, practiceAttempts.personId))
    .where(actor.role === 'manager' ? undefined : eq(practiceAttempts.personId, actor.id))
    .orderBy(desc(practiceAttempts.finishedAt))
    .limit(SHOWN);
}
