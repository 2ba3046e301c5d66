import { eq, inArray, type SQL } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { jobClients, jobs } from '@/db/schema';
import { NotFound, Refused } from './errors';
import type { Actor } from './use-case';

/** The jobs a person may read: all for the laboratory's own people, those shared with them for clients. */
export function readableJobs(db: Queryable, actor: Actor): SQL | undefined {
  if (actor.role !== 'client') return undefined;
  return inArray(
    jobs.id,
    db.select({ id: jobClients.jobId }).from(jobClients).where(eq(jobClients.personId, actor.id)),
  );
}

/** @throws Refused for a client: internal records are not theirs to read */
export function staffOnly(actor: Actor): void {
  if (actor.role === 'client') throw new Refused();
}

/** A row, or NotFound: used where a link may be old, wrong or not for this person. */
export function present<T>(row: T | undefined, what: string): T {
  if (row === undefined) throw new NotFound(what);
  return row;
}
