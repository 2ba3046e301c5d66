import { asc, eq } from 'drizzle-orm';
import { findMethod } from '@/core/methods';
import type { Queryable } from '@/db/client';
import { amendments, attachments, people, readings, reportOutcomes, reports } from '@/db/schema';
import { NotFound } from '../errors';
import { currentReadings, inputOf } from '../readings';
import { runPlace, runSetup } from '../run-setup';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';
import { curvesOf } from './curves';
import { runViews, sampleDossier } from './dossier';

/** Everything a run sheet needs. Staff only: clients read reports. */
export async function runSheet(db: Queryable, actor: Actor, runId: string, now: Date) {
  staffOnly(actor);
  const place = await runPlace(db, runId);
  const method = findMethod(place.run.method);
  if (!method) throw new NotFound('This run');
  const current = await currentReadings(db, runId);
  const input = inputOf(method, place.job.system, current);
  const { system, ...setup } = await runSetup(db, place, input, now, {
    forChoosing: true,
    by: actor.id,
    current,
  });
  // Only a specimen belongs to a set; the tests of fresh concrete need nothing of their sample's dossier.
  const sets = place.specimen && place.sample ? (await sampleDossier(db, actor, place.sample.id)).sets : [];
  const own = sets.find(({ specimens }) => specimens.some(({ id }) => id === place.specimen?.id));
  const curves = await curvesOf(
    db,
    (own?.specimens ?? []).flatMap(({ run }) => (run ? [run.id] : [])),
  );
  const [view] = await runViews(db, { runIds: [runId] });
  const history = await db
    .select({
      seq: readings.seq,
      field: readings.field,
      text: readings.text,
      takenAt: readings.takenAt,
      reason: readings.reason,
      byName: people.name,
    })
    .from(readings)
    .innerJoin(people, eq(people.id, readings.by))
    .where(eq(readings.runId, runId))
    .orderBy(asc(readings.seq));
  const files = await db
    .select({
      id: attachments.id,
      name: attachments.name,
      mime: attachments.mime,
      place: attachments.place,
      at: attachments.at,
    })
    .from(attachments)
    .where(eq(attachments.runId, runId))
    .orderBy(asc(attachments.at));
  return {
    run: place.run,
    job: place.job,
    mix: place.mix,
    sample: place.sample,
    placement: place.placement,
    specimen: place.specimen,
    batch: setup.batch?.label ?? null,
    system,
    setup,
    readings: current.map(({ field, text, seq }) => ({ field, text, seq })),
    history,
    files,
    view: view ?? null,
    sets,
    curves,
    lock: await lockOf(db, runId),
  };
}

/** The signed report that rests on a run, and the amendment open on it if there is one. */
async function lockOf(db: Queryable, runId: string) {
  const signed = await db
    .select({
      id: reports.id,
      number: reports.number,
      revision: reports.revision,
      replacesId: reports.replacesId,
    })
    .from(reportOutcomes)
    .innerJoin(reports, eq(reports.id, reportOutcomes.reportId))
    .where(eq(reportOutcomes.runId, runId));
  const replaced = new Set(signed.map(({ replacesId }) => replacesId));
  const report = signed.find(({ id }) => !replaced.has(id));
  if (!report) return null;
  const [amendment] = await db.select().from(amendments).where(eq(amendments.reportId, report.id));
  return { report, amendment: amendment ?? null };
}
