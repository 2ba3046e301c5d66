import { and, eq } from 'drizzle-orm';
import type { LotSays } from '@/core/material/contract';
import { findMaterial } from '@/core/materials/registry';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import { jobs, lots, reports, samples, specifications } from '@/db/schema';
import { limitsNow } from '../run-setup';
import { present, readableJobs } from '../scope';
import type { Actor } from '../use-case';
import { runViews } from './dossier';
import { reportsOf, sampleDossiers, sampleOfLot } from './sample';

/** A lot with its specification and job, and what its material is. */
export async function lotHead(db: Queryable, actor: Actor, lotId: string) {
  const [found] = await db
    .select({ placement: lots, mix: specifications, job: jobs })
    .from(lots)
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(and(eq(lots.id, lotId), readableJobs(db, actor)));
  const head = present(found, 'This lot');
  return { ...head, material: present(findMaterial(head.mix.material), 'This material') };
}

/** Everything about one lot: its samples with what they came to, the tests of the lot itself, its reports. */
export async function lotDossier(db: Queryable, actor: Actor, lotId: string) {
  const head = await lotHead(db, actor, lotId);
  const { job, material } = head;
  const releasedOnly = actor.role === 'client';
  const dossiers = await sampleDossiers(db, actor, eq(samples.lotId, lotId));
  const all = await runViews(db, { lotIds: [lotId] });
  const runs = releasedOnly ? all.filter(({ released }) => released) : all;
  const limits = await limitsNow(db, job);
  const says: LotSays | null =
    material.across?.(
      dossiers.map((each) => sampleOfLot(each)),
      {
        mode: job.rounding,
        system: job.system,
        limits,
        asked: { ...head.mix.asked },
        tests: runs.flatMap(({ method, state, outcome }) =>
          state === 'complete' && outcome && isReportable(outcome.findings)
            ? [{ method, verdicts: outcome.verdicts }]
            : [],
        ),
      },
    ) ?? null;
  return {
    ...head,
    samples: dossiers,
    runs,
    says,
    limits,
    reports: await reportsOf(db, eq(reports.lotId, lotId), releasedOnly),
  };
}
