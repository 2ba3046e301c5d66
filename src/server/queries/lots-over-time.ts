import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import type { Material } from '@/core/material/contract';
import type { Queryable } from '@/db/client';
import { jobs, lots, samples, specifications, verdicts } from '@/db/schema';
import { readableJobs } from '../scope';
import type { Actor } from '../use-case';
import type { Standing } from './specification';

/** Verdicts gone into at once, the newest. */
const VERDICTS_SHOWN = 600;

/** A sample of the same product, in whatever job, with what was decided of it. */
export interface SampleOver {
  readonly job: Pick<typeof jobs.$inferSelect, 'id' | 'number' | 'zone'>;
  readonly sample: Pick<typeof samples.$inferSelect, 'number' | 'sampledAt'>;
  /** Who made it. */
  readonly by: string;
  readonly verdicts: readonly {
    readonly criterion: string;
    readonly statistic: string | null;
    readonly limit: string;
  }[];
}

/**
 * The samples of all jobs that were held to the same product, oldest first: those of jobs in the same units, as far as the
 * reader may read them.
 */
export async function lotsOverTime(
  db: Queryable,
  actor: Actor,
  { mix, job }: Pick<Standing, 'mix' | 'job'>,
  { product, madeBy, criteria }: Pick<Material, 'product' | 'madeBy' | 'criteria'>,
): Promise<SampleOver[]> {
  if (!product || !madeBy) return [];
  const asked = String({ ...mix.asked }[product as keyof typeof mix.asked] ?? '');
  const rows = await db
    .select({ sample: samples, lot: lots, job: jobs, verdict: verdicts })
    .from(verdicts)
    .innerJoin(samples, eq(samples.id, verdicts.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, verdicts.specificationId))
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(
      and(
        eq(specifications.material, mix.material),
        eq(jobs.system, job.system),
        sql`${specifications.asked}->>${product} = ${asked}`,
        eq(verdicts.released, actor.role === 'client'),
        isNotNull(verdicts.statistic),
        readableJobs(db, actor),
      ),
    )
    .orderBy(desc(samples.sampledAt), desc(samples.number), verdicts.criterion)
    .limit(VERDICTS_SHOWN);
  return [...groupBy(rows, ({ sample }) => sample.id).values()].toReversed().flatMap((own) => {
    const [first] = own;
    if (!first) return [];
    return [
      {
        job: first.job,
        sample: first.sample,
        by: String({ ...first.lot.about }[madeBy as keyof typeof first.lot.about] ?? ''),
        verdicts: own
          .map(({ verdict: { criterion, statistic, limit } }) => ({ criterion, statistic, limit }))
          // In the order of the specification: what it asks for first is looked at first.
          .filter(({ criterion }) => criteria.includes(criterion))
          .toSorted((a, b) => criteria.indexOf(a.criterion) - criteria.indexOf(b.criterion)),
      },
    ];
  });
}
