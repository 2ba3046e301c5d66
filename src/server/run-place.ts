import { eq, sql } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { jobs, lots, runs, samples, specifications, specimens } from '@/db/schema';
import { NotFound } from './errors';
import { anyOf } from './scope';

/** Where a run belongs: its job, mix and placement, its sample and specimen where it has them. */
export async function runPlace(db: Queryable, runId: string) {
  const [found] = await runPlaces(db, [runId]);
  if (!found) throw new NotFound('This run');
  return found;
}

/** Where several runs belong. */
export async function runPlaces(db: Queryable, runIds: readonly string[]) {
  return (
    db
      .select({
        run: runs,
        specimen: specimens,
        sample: samples,
        placement: lots,
        mix: specifications,
        job: jobs,
      })
      .from(runs)
      .leftJoin(specimens, eq(specimens.id, runs.specimenId))
      .leftJoin(samples, eq(samples.id, sql`coalesce(${runs.sampleId}, ${specimens.sampleId})`))
      // A batch of ends belongs where its first specimen does.
      .innerJoin(
        lots,
        eq(
          lots.id,
          sql`coalesce(${runs.lotId}, ${samples.lotId}, (
          SELECT s.lot_id FROM batch_members b
          JOIN specimens c ON c.id = b.specimen_id JOIN samples s ON s.id = c.sample_id
          WHERE b.batch_id = ${runs.batchId} ORDER BY b.place LIMIT 1))`,
        ),
      )
      .innerJoin(specifications, eq(specifications.id, lots.specificationId))
      .innerJoin(jobs, eq(jobs.id, lots.jobId))
      .where(anyOf(runs.id, runIds))
  );
}

export type RunPlace = Awaited<ReturnType<typeof runPlace>>;
