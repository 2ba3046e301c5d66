import { and, desc, eq, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { sampleLabel } from '@/core/identity/labels';
import type { Picture } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { jobs, lots, outcomes, runs, samples, specifications } from '@/db/schema';
import { limitChangesAt } from '../run-setup';
import { anyOf, present, staffOnly } from '../scope';
import type { Actor } from '../use-case';

/** Tests that can be laid over one: the newest of its method. */
const OFFERED = 60;
/** Tests that are laid over one another at the most. */
export const MOST_LAID = 6;

/** A test as it is chosen to be laid over others. */
export interface OverlayTest {
  readonly id: string;
  readonly label: string;
  /** Of what it is, and of which day: product, lot, day where its job is. */
  readonly of: string;
}

/**
 * Tests of one method laid over one another, and which others could be. Staff only: they may be of several jobs.
 * @param withIds of other tests of its method; those that are none are left aside
 */
export async function overlayOf(db: Queryable, actor: Actor, runId: string, withIds: readonly string[]) {
  staffOnly(actor);
  const [own] = await db
    .select({ method: runs.method, id: jobs.id, profile: jobs.profile })
    .from(runs)
    .leftJoin(samples, eq(samples.id, runs.sampleId))
    .leftJoin(jobs, eq(jobs.id, samples.jobId))
    .where(eq(runs.id, runId));
  const { method, id: jobId, profile } = present(own, 'This run');
  const { changes, revision } = await limitChangesAt(db, jobId ? { jobId } : {});
  const title = findMethod(method)?.title ?? '';
  const rows = await db
    .select({
      id: runs.id,
      number: samples.number,
      job: jobs.number,
      lot: lots.number,
      lotTitle: lots.title,
      code: specifications.code,
      zone: jobs.zone,
      at: sql<Date>`coalesce(${runs.completedAt}, ${runs.startedAt})`.mapWith(runs.startedAt),
    })
    .from(runs)
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(
      and(
        eq(runs.method, method),
        sql`EXISTS (SELECT 1 FROM ${outcomes} WHERE ${outcomes.runId} = ${runs.id})`,
      ),
    )
    .orderBy(desc(sql`coalesce(${runs.completedAt}, ${runs.startedAt})`))
    .limit(OFFERED);
  const offered = rows.map(
    ({ id, number, job, lot, lotTitle, code, at, zone }): OverlayTest => ({
      id,
      label: sampleLabel(job, number),
      of: `${code}, ${lotTitle ?? lot}, ${DateTime.fromJSDate(at, { zone }).toFormat('d LLL yyyy')}`,
    }),
  );
  const wanted = [runId, ...withIds].slice(0, MOST_LAID);
  const chosen = wanted.flatMap((id) => offered.find((each) => each.id === id) ?? []);
  const pictures = await db
    .selectDistinctOn([outcomes.runId], {
      runId: outcomes.runId,
      picture: sql<Picture>`${outcomes.outcome} -> 'picture'`,
    })
    .from(outcomes)
    .where(
      anyOf(
        outcomes.runId,
        chosen.map(({ id }) => id),
      ),
    )
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return {
    ...{ method, title, offered },
    register: { changes, revision, profile: profile ?? 'astm' },
    laid: chosen.flatMap((test) => {
      const picture = pictures.find((each) => each.runId === test.id)?.picture;
      return picture ? [{ ...test, picture }] : [];
    }),
  };
}
