import { and, asc, desc, eq, inArray, ne, sql } from 'drizzle-orm';
import { sampleLabel } from '@/core/identity/labels';
import { decisionFor, owing } from '@/core/materials/concrete/day';
import { setupMeasure } from '@/core/methods';
import { specimenClasses } from '@/core/moulds';
import { exact } from '@/core/quantity';
import { targetsOf } from '@/core/sampling-plan';
import type { Queryable } from '@/db/client';
import { loads, lots, people, plantBatches, runs, samples, samplingPlans, specimens } from '@/db/schema';
import { limitsNow } from '../run-setup';
import { sampleEvents } from '../sample-stamps';
import { present, staffOnly } from '../scope';
import type { Actor } from '../use-case';
import { inWorkOrder, runViews } from './dossier';
import { lotHead } from './lot';
import { photosOf } from './photos';

/** A placement with its mix and job. */
async function placementPlace(db: Queryable, actor: Actor, lotId: string) {
  staffOnly(actor);
  return lotHead(db, actor, lotId);
}

/** Everything of one placement on one page: plan, trucks, samples with their fresh results, weather, photographs. */
export async function placementDay(db: Queryable, actor: Actor, lotId: string) {
  const place = await placementPlace(db, actor, lotId);
  const { job } = place;
  const volumeUnit = job.system === 'US' ? 'yd3' : 'm3';
  const [plan] = await db
    .select()
    .from(samplingPlans)
    .where(eq(samplingPlans.lotId, lotId))
    .orderBy(desc(samplingPlans.at))
    .limit(1);
  const allTrucks = await db.select().from(loads).where(eq(loads.lotId, lotId)).orderBy(asc(loads.number));
  // One struck out was never there; it is shown apart.
  const trucks = allTrucks.filter(({ struckOut }) => struckOut === null);
  const taken = await db
    .select({ sample: samples, by: people.name })
    .from(samples)
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(eq(samples.lotId, lotId))
    .orderBy(asc(samples.sampledAt));
  const tickets = await db
    .select({ batch: plantBatches.batch })
    .from(plantBatches)
    .where(eq(plantBatches.lotId, lotId))
    .orderBy(asc(plantBatches.at), asc(plantBatches.ticket));
  const ofMix = await db
    .select({
      about: lots.about,
      // Written out: Drizzle would leave the table off its columns inside the subqueries.
      batches: sql<number>`(select count(*)::int from loads l where l.lot_id = lots.id and l.struck_out is null)`,
      tests: sql<number>`(select count(*)::int from samples s where s.lot_id = lots.id and s.kind = 'acceptance')`,
    })
    .from(lots)
    .where(eq(lots.specificationId, place.mix.id));
  const ids = taken.map(({ sample }) => sample.id);
  const fresh = ids.length > 0 ? await runViews(db, { sampleIds: ids }) : [];
  const weather = await runViews(db, { lotIds: [lotId] });
  const made =
    ids.length > 0
      ? await db
          .select({
            sampleId: specimens.sampleId,
            label: specimens.label,
            form: specimens.form,
            about: specimens.about,
          })
          .from(specimens)
          .where(inArray(specimens.sampleId, ids))
          .orderBy(asc(specimens.label))
      : [];
  const runIds = [...fresh, ...weather].map(({ id }) => id);
  const photos = await photosOf(db, runIds);
  const volumes = trucks.map(({ volume }) => setupMeasure(volume, 'volume', volumeUnit) ?? exact(0));
  const out = volumes.reduce((sum, each) => sum.plus(each), exact(0));
  const limits = await limitsNow(db, job);
  const events = await sampleEvents(db, ids);
  const views = taken.map(({ sample, by }) => ({
    ...sample,
    label: sampleLabel(job.number, sample.number),
    by,
    events: events.get(sample.id) ?? {},
    runs: fresh.filter(({ sampleId }) => sampleId === sample.id),
    specimens: made.filter(({ sampleId }) => sampleId === sample.id).map(({ label }) => label),
    made: specimenClasses(made.filter(({ sampleId }) => sampleId === sample.id)),
  }));
  return {
    ...place,
    limits,
    plan: plan ?? null,
    targets: plan ? targetsOf(plan.draws, volumes) : [],
    loads: trucks.map((load) => ({ ...load, decision: decisionFor(load.id, views) })),
    ...owing({ samples: views, loads: trucks, volumes, ofMix, system: job.system, limits }),
    struckOut: allTrucks.filter(({ struckOut }) => struckOut !== null),
    batches: tickets.map(({ batch }) => batch),
    volumeOut: out.toFixed(),
    samples: views,
    weather,
    photos,
  };
}

export type PlacementDay = Awaited<ReturnType<typeof placementDay>>;

/** The sample on the phone: where it belongs, its stamps, and the other samples on the site. */
export async function fieldSample(db: Queryable, actor: Actor, sampleId: string) {
  staffOnly(actor);
  const [found] = await db.select().from(samples).where(eq(samples.id, sampleId));
  const sample = present(found, 'This sample');
  const place = await placementPlace(db, actor, sample.lotId);
  const others = await db
    .select({ id: samples.id, number: samples.number })
    .from(samples)
    .where(and(eq(samples.lotId, sample.lotId), ne(samples.id, sampleId)))
    .orderBy(asc(samples.number));
  const events = await sampleEvents(
    db,
    others.map(({ id }) => id),
  );
  const own = await db
    .select({ id: runs.id, method: runs.method, attempt: runs.attempt })
    .from(runs)
    .where(eq(runs.sampleId, sampleId));
  const [load] = sample.loadId ? await db.select().from(loads).where(eq(loads.id, sample.loadId)) : [];
  const made = await db
    .select()
    .from(specimens)
    .where(eq(specimens.sampleId, sampleId))
    .orderBy(asc(specimens.label));
  return {
    ...place,
    sample,
    load: load ?? null,
    others: others.map((other) => ({ ...other, events: events.get(other.id) ?? {} })),
    runs: own.toSorted(inWorkOrder),
    specimens: made,
    limits: await limitsNow(db, place.job),
  };
}
