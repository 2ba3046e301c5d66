import { and, asc, eq, sql } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { attachments, jobs, reports } from '@/db/schema';
import { anyOf, present, readableJobs } from '../scope';
import type { Actor } from '../use-case';

/** The photographs kept with runs, as they were taken, without their bytes. */
export async function photosOf(db: Queryable, runIds: readonly string[]) {
  if (runIds.length === 0) return [];
  const { runId, id, name, mime, sha256, place, at } = attachments;
  return db
    .select({ runId, id, name, mime, sha256, place, at })
    .from(attachments)
    .where(anyOf(runId, runIds))
    .orderBy(asc(at));
}

/**
 * One photograph. Staff see all of them, a client those that stand in a signed report of a job of theirs.
 * @throws NotFound for any other
 */
export async function photoFile(db: Queryable, actor: Actor, id: string) {
  const [file] = await db
    .select({ mime: attachments.mime, bytes: attachments.bytes })
    .from(attachments)
    .where(eq(attachments.id, id));
  const found = present(file, 'This picture');
  const shown =
    actor.role !== 'client' || (await standsSigned(db, actor, { tests: [{ photographs: [{ id }] }] }));
  return present(shown ? found : undefined, 'This picture');
}

/** True where a signed report of a job that a person may read has this in it. */
export async function standsSigned(db: Queryable, actor: Actor, part: object): Promise<boolean> {
  const [released] = await db
    .select({ id: reports.id })
    .from(reports)
    .innerJoin(jobs, eq(jobs.id, reports.jobId))
    .where(
      and(
        eq(reports.state, 'signed'),
        readableJobs(db, actor),
        sql`${reports.content} @> ${JSON.stringify(part)}::jsonb`,
      ),
    )
    .limit(1);
  return released !== undefined;
}
