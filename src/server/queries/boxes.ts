import { and, asc, eq, exists, gte } from 'drizzle-orm';
import { clockOf, readClock } from '@/core/clocks';
import { sampleLabel } from '@/core/identity/labels';
import type { Limits } from '@/core/limits';
import { usableInput } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { jobs, lots, runs, samples, specimens } from '@/db/schema';
import { currentReadingsOf, inputOf } from '../readings';
import { limitsOfJobs } from '../run-setup';
import { sampleEvents } from '../sample-stamps';
import { readableJobs, staffOnly } from '../scope';
import type { Actor } from '../use-case';

const DAYS = 7;
const HOUR = 3_600_000;

/** A set of specimens that stands in its box on site. */
export interface BoxedSet {
  readonly sampleId: string;
  readonly label: string;
  readonly element: string;
  readonly zone: string;
  /** When the longest initial curing is over. */
  readonly collectBy: number;
  /** When they may be moved at the earliest: eight hours after final set; null while the set is not known. */
  readonly earliest: number | null;
  readonly estimated: boolean;
  readonly over: boolean;
}

/** Sets that are listed. */
const SHOWN = 16;

/**
 * The sets that are moulded and not collected yet, those to be collected first: how long each may stay, and from when
 * it may be moved.
 * @returns the first of them, and how many more there are
 */
export async function boxedSets(
  db: Queryable,
  actor: Actor,
  now: Date,
): Promise<{ readonly sets: readonly BoxedSet[]; readonly more: number }> {
  staffOnly(actor);
  const open = await db
    .select({ sample: samples, run: runs, element: lots.title, job: jobs })
    .from(runs)
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(
      and(
        readableJobs(db, actor),
        eq(runs.method, 'initial-curing'),
        eq(runs.state, 'open'),
        gte(samples.sampledAt, new Date(now.getTime() - DAYS * 24 * HOUR)),
        exists(db.select({ id: specimens.id }).from(specimens).where(eq(specimens.sampleId, samples.id))),
      ),
    )
    .orderBy(asc(samples.sampledAt));
  const events = await sampleEvents(
    db,
    open.map(({ sample }) => sample.id),
    ['batched', 'moulded', 'final-set', 'collected'],
  );
  const limitsBy = await limitsOfJobs(
    db,
    open.map(({ job }) => job),
  );
  const standing = open
    .flatMap((each) => {
      const stamps = events.get(each.sample.id) ?? {};
      if (stamps.moulded === undefined || stamps.collected !== undefined) return [];
      const limits = limitsBy(each.job);
      const clock = readClock(clockOf('initial-cure'), stamps, now.getTime(), limits, each.job.system);
      return [{ ...each, stamps, limits, clock, collectBy: stamps.moulded + (clock.most ?? 0) * 1000 }];
    })
    .toSorted((a, b) => a.collectBy - b.collectBy);
  const listed = standing.slice(0, SHOWN);
  const inForce = await currentReadingsOf(
    db,
    listed.map(({ run }) => run.id),
  );
  const sets = listed.map(({ sample, run, element, job, stamps, limits, clock, collectBy }): BoxedSet => {
    const after = (limits.of('curing.after-set', job.system).low?.toNumber() ?? 0) * HOUR;
    const set = stamps['final-set'];
    const estimate =
      set === undefined ? estimatedSet(inForce.get(run.id) ?? [], job.system, limits) : undefined;
    const from =
      set ?? (estimate === undefined || stamps.batched === undefined ? undefined : stamps.batched + estimate);
    return {
      sampleId: sample.id,
      label: sampleLabel(job.number, sample.number),
      element,
      zone: job.zone,
      collectBy,
      earliest: from === undefined ? null : from + after,
      estimated: set === undefined,
      over: clock.state === 'over',
    };
  });
  return { sets, more: standing.length - listed.length };
}

/** The final set after batching as it is estimated from the readings so far, ms; undefined while it cannot be. */
function estimatedSet(
  current: readonly { readonly field: string; readonly text: string | null }[],
  system: 'US' | 'SI',
  limits: Limits,
): number | undefined {
  const method = findMethod('initial-curing');
  if (!method) return undefined;
  const { input } = usableInput(method, inputOf(method, system, current));
  const { results } = method.compute(input, { limitChanges: limits.changes, profile: limits.profile });
  const set = results.find(({ quantity }) => quantity === 'final set after batching, estimated');
  return set ? Number(set.value) * HOUR : undefined;
}
