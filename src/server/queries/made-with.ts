import { and, eq, isNotNull, sql } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import type { SourceRule } from '@/core/material/contract';
import { type Follows, followsOf, type Told } from '@/core/uniformity';
import type { Queryable } from '@/db/client';
import { jobs, lots, samples, sets, specifications } from '@/db/schema';
import { readableJobs } from '../scope';
import type { Actor } from '../use-case';
import type { Standing } from './specification';

/** Results gone into at once, the newest: a year of some a day. */
const RESULTS = 2000;

/** What is made with a product, specification by specification, and whether it follows. */
export interface MadeWith {
  readonly specificationId: string;
  readonly code: string;
  readonly title: string;
  readonly count: number;
  readonly follows: Follows | undefined;
}

/**
 * Whether what is made with a product follows it: specifications of the jobs in the same units that the reader may read, which
 * name its code.
 * @param source results of the product, at one age
 */
export async function madeWith(
  db: Queryable,
  actor: Actor,
  { mix, job }: Pick<Standing, 'mix' | 'job'>,
  rule: NonNullable<SourceRule['madeWith']>,
  source: readonly Told[],
): Promise<MadeWith[]> {
  const rows = await db
    .select({
      specificationId: specifications.id,
      code: specifications.code,
      title: specifications.title,
      at: samples.sampledAt,
      value: sets.value,
    })
    .from(sets)
    .innerJoin(samples, eq(samples.id, sets.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(
      and(
        eq(specifications.material, rule.material),
        eq(jobs.system, job.system),
        sql`upper(trim(${specifications.asked}->>${rule.field})) = upper(${mix.code})`,
        eq(sets.released, actor.role === 'client'),
        eq(sets.state, 'tested'),
        isNotNull(sets.value),
        sql`starts_with(${sets.key}, ${`${rule.method}/${rule.ageHours}/`})`,
        readableJobs(db, actor),
      ),
    )
    .orderBy(sql`${samples.sampledAt} DESC`)
    .limit(RESULTS);
  return [...groupBy(rows, ({ specificationId }) => specificationId)].map(([specificationId, own]) => ({
    ...{ specificationId, code: own[0]?.code ?? '', title: own[0]?.title ?? '', count: own.length },
    follows: followsOf(
      source,
      own.map(({ at, value }) => ({ at: at.getTime(), value: Number(value) })),
    ),
  }));
}
