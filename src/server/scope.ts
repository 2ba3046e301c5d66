import { and, eq, inArray, isNull, type SQL, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import type { Queryable } from '@/db/client';
import { jobClients, jobs } from '@/db/schema';
import { NotFound, Refused } from './errors';
import type { Actor } from './use-case';

/** The jobs a person may read: all for the laboratory's own people, those shared with them for clients. */
export function readableJobs(db: Queryable, actor: Actor): SQL | undefined {
  if (actor.role !== 'client') return undefined;
  return inArray(
    jobs.id,
    db
      .select({ id: jobClients.jobId })
      .from(jobClients)
      .where(and(eq(jobClients.personId, actor.id), isNull(jobClients.endedAt))),
  );
}

/**
 * A column among many identifiers, sent as one value: a list of parameters would end at 65,535 of them, and each would
 * be read by itself.
 */
export function anyOf(column: AnyPgColumn, ids: readonly string[]): SQL {
  return sql`${column} = ANY(${sql.param([...ids])}::uuid[])`;
}

/** Words as a pattern for a part of a text: what they hold of signs of a pattern stands for itself. */
export function likeWords(words: string): string {
  return `%${words.trim().replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
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
