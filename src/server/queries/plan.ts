import { and, asc, eq, gt, isNull, or } from 'drizzle-orm';
import { formText } from '@/core/materials/forms';
import { methodsFor } from '@/core/methods/registry';
import type { PlanPage, PointView } from '@/core/plan';
import { exact, plainOf } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import { lotPictures, samples, waits } from '@/db/schema';
import { newestPlan } from '../plans';
import { readAt } from '../points';
import { limitsNow } from '../run-setup';
import { anyOf, present } from '../scope';
import type { Actor } from '../use-case';
import { everyRun, type SpecimenView } from './dossier';
import { lotHead } from './lot';
import { sampleDossiers } from './sample';

/** The picture that a floor is drawn over: who may read the floor may see it. @throws NotFound for any other */
export async function planPicture(db: Queryable, actor: Actor, id: string) {
  const [found] = await db.select().from(lotPictures).where(eq(lotPictures.id, id));
  const file = present(found, 'This picture');
  await lotHead(db, actor, file.lotId);
  return file;
}

/** Everything the plan of a floor shows: what is drawn, where its points lie, what was read there and what waits. */
export async function planPage(db: Queryable, actor: Actor, lotId: string, now: Date): Promise<PlanPage> {
  const { placement, mix, job, material } = await lotHead(db, actor, lotId);
  present(material.hasPlan, 'A plan of this');
  const limits = await limitsNow(db, job);
  const dossiers = await sampleDossiers(db, actor, eq(samples.lotId, lotId));
  const drawn = await newestPlan(db, lotId);
  const ids = dossiers.flatMap(({ specimens: own }) => own.map(({ id }) => id));
  const waiting =
    ids.length === 0
      ? []
      : await db
          .select()
          .from(waits)
          .where(and(anyOf(waits.specimenId, ids), or(isNull(waits.doneAt), gt(waits.doneAt, now))))
          .orderBy(asc(waits.opensAt));
  const asked = { ...mix.asked };
  const distance = (id: 'plan.wall' | 'plan.flag' | 'plan.point'): string => {
    const { low, high, unit } = limits.of(id, job.system);
    return plainOf(high ?? low ?? exact(0), unit);
  };
  const metres = (id: 'plan.wall' | 'plan.flag' | 'plan.point'): number => {
    const limit = limits.of(id, 'SI');
    return (limit.high ?? limit.low)?.toNumber() ?? 0;
  };
  return {
    lotId,
    title: placement.title,
    jobId: job.id,
    jobText: `${job.number} ${job.name}`,
    zone: job.zone,
    system: job.system,
    now: now.getTime(),
    planId: drawn?.id ?? null,
    pictureId: drawn?.pictureId ?? null,
    plan: drawn?.plan ?? null,
    wants: dossiers.map(({ sample, planOf }) => ({
      sampleId: sample.id,
      name: String(sample.about.name ?? ''),
      area: String(sample.about.area ?? ''),
      forms: (material.plannedForms?.(asked, sample.about) ?? []).map((form) => {
        const plan = planOf(form);
        return { form, text: `${formText(form)}: ${plan?.why ?? ''}`, count: plan?.count ?? 0 };
      }),
    })),
    points: dossiers.flatMap(({ specimens: own, sets }) =>
      own
        .filter(({ discarded }) => discarded === null)
        .map((view): PointView => {
          return {
            id: view.id,
            ...readAt(view, sets),
            sampleId: view.sampleId,
            form: view.form,
            formText: formText(view.form),
            place: view.place,
            begun: view.run !== null || view.whole.length > 0,
            open: everyRun(view).find(({ state }) => state === 'open')?.id ?? null,
            next: nextAt(view, asked),
            waits: waiting
              // What was glued waits to be pulled, and no longer once it was.
              .filter(
                ({ specimenId, key }) => specimenId === view.id && !(view.testedAt && key.includes('/')),
              )
              .map(({ what, opensAt, closesAt }) => ({
                what,
                opensAt: opensAt.getTime(),
                closesAt: closesAt?.getTime() ?? null,
              })),
          };
        }),
    ),
    rules: {
      wall: metres('plan.wall'),
      point: metres('plan.point'),
      flag: metres('plan.flag'),
      wallText: distance('plan.wall'),
      flagText: distance('plan.flag'),
      pointText: distance('plan.point'),
    },
  };
}

/** The test that a point is ready for: the first of its form that was not made, else one that is made again freely. */
function nextAt(view: SpecimenView, asked: Record<string, unknown>): PointView['next'] {
  const made = new Set(everyRun(view).map(({ method }) => method));
  const own = methodsFor(view, asked).filter(({ onSite }) => onSite);
  const found =
    (view.testedAt ? undefined : own.find(({ id }) => !made.has(id))) ??
    own.find(({ id, again }) => again === 'freely' && made.has(id));
  return found ? { method: found.id, title: found.title } : null;
}
