import { asc, eq } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { fieldsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { amendments, people, readings } from '@/db/schema';
import { NotFound } from '../errors';
import { currentReadingsOf, inputOf } from '../readings';
import { type RunPlace, runPlaces } from '../run-place';
import { equipmentFacts, runSetup } from '../run-setup';
import { anyOf, staffOnly } from '../scope';
import { setsOfSample } from '../sets';
import type { Actor } from '../use-case';
import { curvesOf } from './curves';
import { type RunView, runViews } from './dossier';
import { photosOf } from './photos';

/** Everything a run sheet needs. Staff only: clients read reports. */
export async function runSheet(db: Queryable, actor: Actor, runId: string, now: Date) {
  const [sheet] = await runSheets(db, actor, [runId], now);
  if (!sheet) throw new NotFound('This run');
  return sheet;
}

/** The sheets of several runs, asked for together: the runs of a sample stand on one page. */
export async function runSheets(db: Queryable, actor: Actor, runIds: readonly string[], now: Date) {
  staffOnly(actor);
  const places = await runPlaces(db, runIds);
  const inForce = await currentReadingsOf(db, runIds);
  const views = await runViews(db, { runIds });
  const histories = await historyOf(db, runIds);
  const files = await photosOf(db, runIds);
  const locks = await locksOf(db, views);
  const equipment = runIds.length > 1 ? await sharedEquipment(db, places, inForce, now) : undefined;
  const sheets = [];
  for (const runId of runIds) {
    const place = places.find(({ run }) => run.id === runId);
    const method = place && findMethod(place.run.method);
    if (!place || !method) throw new NotFound('This run');
    const current = inForce.get(runId) ?? [];
    const input = inputOf(method, place.job.system, current);
    const { system, ...setup } = await runSetup(db, place, input, now, {
      forChoosing: true,
      by: actor.id,
      current,
      ...(equipment ? { equipment } : {}),
    });
    // Only a specimen belongs to a set.
    const { specimen, sample } = place;
    const sets = specimen && sample ? (await setsOfSample(db, { ...place, sample })).sets : [];
    const own = sets.find(({ specimens }) => specimens.some(({ id }) => id === place.specimen?.id));
    const companions = (own?.specimens ?? []).flatMap(({ run }) => (run ? [run.id] : []));
    sheets.push({
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
      history: histories.filter((each) => each.runId === runId),
      files: files.filter((each) => each.runId === runId),
      view: views.find(({ id }) => id === runId) ?? null,
      sets,
      curves: companions.length > 0 ? await curvesOf(db, companions) : [],
      lock: locks.get(runId) ?? null,
    });
  }
  return sheets;
}

/** Every piece of equipment that one of these runs could choose, as it stands today. */
async function sharedEquipment(
  db: Queryable,
  places: readonly RunPlace[],
  inForce: ReadonlyMap<string, readonly { readonly field: string; readonly text: string | null }[]>,
  now: Date,
) {
  const [first] = places;
  if (!first) return undefined;
  const fields = places.flatMap(({ run }) => fieldsOf(findMethod(run.method)?.Input ?? Object));
  const kinds = fields.flatMap((field) => (field.kind === 'equipment' ? [field.equipmentKind] : []));
  const names = new Set(fields.flatMap((field) => (field.kind === 'equipment' ? [field.name] : [])));
  const numbers = [...inForce.values()]
    .flat()
    .flatMap(({ field, text }) => (names.has(field) && text ? [text] : []));
  const day = DateTime.fromJSDate(now, { zone: first.job.zone }).toISODate() ?? '';
  return equipmentFacts(db, day, { kinds: [...new Set(kinds)], numbers: [...new Set(numbers)] });
}

async function historyOf(db: Queryable, runIds: readonly string[]) {
  return db
    .select({
      runId: readings.runId,
      seq: readings.seq,
      field: readings.field,
      text: readings.text,
      takenAt: readings.takenAt,
      reason: readings.reason,
      byName: people.name,
    })
    .from(readings)
    .innerJoin(people, eq(people.id, readings.by))
    .where(anyOf(readings.runId, runIds))
    .orderBy(asc(readings.seq));
}

/** The signed report that rests on each run, and the amendment open on it if there is one. */
async function locksOf(db: Queryable, views: readonly RunView[]) {
  const replaced = new Set(views.flatMap(({ signed }) => signed.map(({ replacesId }) => replacesId)));
  const standing = views.flatMap(({ id: runId, signed }) =>
    signed.filter(({ id }) => !replaced.has(id)).map((report) => ({ runId, report })),
  );
  const opened =
    standing.length === 0
      ? []
      : await db
          .select()
          .from(amendments)
          .where(
            anyOf(
              amendments.reportId,
              standing.map(({ report }) => report.id),
            ),
          );
  return new Map(
    standing.map(({ runId, report }) => [
      runId,
      { report, amendment: opened.find(({ reportId }) => reportId === report.id) ?? null },
    ]),
  );
}
