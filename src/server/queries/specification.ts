import { and, desc, eq } from 'drizzle-orm';
import { governingOf, summarise, type Verdict, type VerdictState } from '@/core/acceptance';
import { findMaterial } from '@/core/materials/registry';
import type { Queryable } from '@/db/client';
import { jobs, lots, samples, specifications } from '@/db/schema';
import { anyOf, present, readableJobs } from '../scope';
import { type SpecimenSet, setsOfSamples } from '../sets';
import type { Actor } from '../use-case';

/** Samples gone into at once, the newest. */
const SAMPLES_SHOWN = 60;

/** A sample of a specification with the sets that it makes. */
export interface SetsOfSample {
  readonly sample: typeof samples.$inferSelect;
  readonly placement: typeof lots.$inferSelect;
  readonly sets: readonly SpecimenSet[];
}

/** A specification that is held against by its samples, each by itself: what they came to, and how it stands. */
export interface Standing {
  readonly mix: typeof specifications.$inferSelect;
  readonly job: typeof jobs.$inferSelect;
  readonly samples: readonly SetsOfSample[];
  readonly state: VerdictState;
  readonly governing: Verdict | null;
  /** True when older samples are not shown. */
  readonly more: boolean;
}

/** How several specifications stand whose samples are judged each by itself. */
export async function standingsOf(db: Queryable, actor: Actor, ids: readonly string[]): Promise<Standing[]> {
  if (ids.length === 0) return [];
  const found = await db
    .select({ mix: specifications, job: jobs })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(and(anyOf(specifications.id, ids), readableJobs(db, actor)));
  const standings: Standing[] = [];
  for (const { mix, job } of found) {
    const taken = await db
      .select({ sample: samples, placement: lots })
      .from(samples)
      .innerJoin(lots, eq(lots.id, samples.lotId))
      .where(eq(lots.specificationId, mix.id))
      .orderBy(desc(samples.sampledAt), desc(samples.number))
      .limit(SAMPLES_SHOWN + 1);
    const places = taken.slice(0, SAMPLES_SHOWN).map((each) => ({ ...each, mix, job }));
    const own = (await setsOfSamples(db, places, actor.role === 'client')).map(
      ({ place: { sample, placement }, sets }): SetsOfSample => ({ sample, placement, sets }),
    );
    const verdicts = own.flatMap(({ sets }) => sets.flatMap((set) => set.verdicts));
    standings.push({
      mix,
      job,
      samples: own,
      state: summarise(verdicts),
      governing: governingOf(verdicts),
      more: taken.length > SAMPLES_SHOWN,
    });
  }
  return standings;
}

/** A specification that a person may read, with its job and its material. */
export async function specificationOf(db: Queryable, actor: Actor, specificationId: string) {
  const [found] = await db
    .select({ mix: specifications, job: jobs })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(and(eq(specifications.id, specificationId), readableJobs(db, actor)));
  const { mix, job } = present(found, 'This specification');
  return { mix, job, material: present(findMaterial(mix.material), 'This material') };
}
