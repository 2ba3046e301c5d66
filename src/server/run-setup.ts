import { and, desc, eq, inArray, isNull, lte, or, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { isLimitId, type LimitChanges, Limits } from '@/core/limits';
import {
  type EquipmentFacts,
  fieldsOf,
  isCylinderSize,
  type RunSetup,
  type SampleFacts,
  type TechnicianFacts,
} from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import { isMouldedConcrete, mouldOf } from '@/core/moulds';
import type { System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  cards,
  equipment,
  equipmentVerifications,
  jobs,
  limitChanges,
  loadLogs,
  mixes,
  outcomes,
  people,
  placements,
  runs,
  samples,
  specimens,
} from '@/db/schema';
import { batchFacts, endsFacts } from './ends';
import { NotFound } from './errors';
import { lotDiameterFacts } from './lots';
import { padUses } from './pads';
import { feedAddress } from './press/addresses';
import { ageFrom, relatedFacts } from './sample-facts';
import { anyOf } from './scope';
import { specifiedFor } from './specified';

/**
 * The changes to the limits register up to a revision; the newest of each entry counts, and what a project's document
 * sets stands before what the laboratory does.
 * @param jobId the project; absent where none is meant
 */
export async function limitChangesAt(
  db: Queryable,
  options: { readonly revision?: number; readonly jobId?: string } = {},
): Promise<{ changes: LimitChanges; revision: number }> {
  const { revision = Number.POSITIVE_INFINITY, jobId } = options;
  // All of them whatever the revision: changes are few, and the parts of a page that want different ones ask once.
  const rows = await db
    .select()
    .from(limitChanges)
    .where(jobId ? or(isNull(limitChanges.jobId), eq(limitChanges.jobId, jobId)) : isNull(limitChanges.jobId))
    .orderBy(limitChanges.revision);
  const [changes, newest] = changesOf(
    rows.filter((row) => row.revision <= revision),
    jobId,
  );
  return { changes, revision: options.revision ?? newest };
}

/** The newest revision of the register, whoever set it: what a run that begins now is computed with for good. */
export async function newestRevision(db: Queryable): Promise<number> {
  const [row] = await db
    .select({ newest: sql<number | null>`max(${limitChanges.revision})` })
    .from(limitChanges);
  return Number(row?.newest ?? 0);
}

/**
 * The register as it stands now.
 * @param job the project whose school and own document count; absent: the laboratory's
 */
export async function limitsNow(
  db: Queryable,
  job?: Pick<typeof jobs.$inferSelect, 'id' | 'profile'>,
): Promise<Limits> {
  const { changes, revision } = await limitChangesAt(db, { jobId: job?.id });
  return new Limits(changes, revision, job?.profile);
}

/** The register as it stands now for several projects, asked for once. */
export async function limitsOfJobs(
  db: Queryable,
  owned: readonly Pick<typeof jobs.$inferSelect, 'id' | 'profile'>[],
): Promise<(job: Pick<typeof jobs.$inferSelect, 'id' | 'profile'>) => Limits> {
  const ids = [...new Set(owned.map(({ id }) => id))];
  const rows =
    ids.length === 0
      ? []
      : await db
          .select()
          .from(limitChanges)
          .where(or(isNull(limitChanges.jobId), inArray(limitChanges.jobId, ids)))
          .orderBy(limitChanges.revision);
  const made = new Map<string, Limits>();
  return ({ id, profile }) => {
    const before = made.get(id);
    if (before) return before;
    const limits = new Limits(...changesOf(rows, id), profile);
    made.set(id, limits);
    return limits;
  };
}

/** The changes in force of the laboratory and of one project, which stands before it, with the newest revision. */
function changesOf(
  rows: readonly (typeof limitChanges.$inferSelect)[],
  jobId: string | undefined,
): [LimitChanges, number] {
  const changes: LimitChanges = {};
  const common = rows.filter((row) => row.jobId === null);
  const own = jobId ? rows.filter((row) => row.jobId === jobId) : [];
  for (const row of [...common, ...own]) if (isLimitId(row.limitId)) changes[row.limitId] = row.change;
  return [changes, Math.max(0, ...[...common, ...own].map(({ revision }) => revision))];
}

/**
 * What is known of equipment on a day: the last verification on or before it.
 * @param day calendar date `2031-05-14`
 */
export async function equipmentFacts(
  db: Queryable,
  day: string,
  wanted: { kinds?: readonly string[]; numbers?: readonly string[]; exceptRun?: string } = {},
): Promise<EquipmentFacts[]> {
  const named = wanted.numbers?.length ? inArray(equipment.number, [...wanted.numbers]) : undefined;
  // What is out of service is no choice; a test that names it all the same is told so.
  const choices = wanted.kinds?.length
    ? and(inArray(equipment.kind, [...wanted.kinds]), eq(equipment.inService, true))
    : undefined;
  if (!named && !choices) return [];
  const owned = await db.select().from(equipment).where(or(named, choices)).orderBy(equipment.number);
  if (owned.length === 0) return [];
  const checks = await db
    .selectDistinctOn([equipmentVerifications.equipmentId])
    .from(equipmentVerifications)
    .where(
      and(
        lte(equipmentVerifications.verifiedOn, day),
        inArray(
          equipmentVerifications.equipmentId,
          owned.map(({ id }) => id),
        ),
      ),
    )
    .orderBy(
      equipmentVerifications.equipmentId,
      desc(equipmentVerifications.verifiedOn),
      desc(equipmentVerifications.at),
    );
  const worn = await padUses(
    db,
    owned.filter(({ pads }) => pads !== null).map(({ number }) => number),
    wanted.exceptRun,
  );
  return owned.map((item) => {
    const last = checks.find((check) => check.equipmentId === item.id);
    return {
      number: item.number,
      kind: item.kind,
      name: item.name,
      inService: item.inService,
      ...(item.logMapping ? { logMapping: item.logMapping } : {}),
      ...(item.machine ? { machine: item.machine } : {}),
      ...(item.pads ? { pads: { ...item.pads, ...worn.get(item.number)?.worn } } : {}),
      ...(last?.strength ? { strength: last.strength } : {}),
      ...(item.compound ? { compound: item.compound } : {}),
      ...(feedAddress(item.number) ? { live: true } : {}),
      ...(last ? { verifiedOn: last.verifiedOn } : {}),
      ...(last?.verifiedFrom ? { verifiedFrom: last.verifiedFrom } : {}),
      ...(last?.verifiedTo ? { verifiedTo: last.verifiedTo } : {}),
    };
  });
}

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
        placement: placements,
        mix: mixes,
        job: jobs,
      })
      .from(runs)
      .leftJoin(specimens, eq(specimens.id, runs.specimenId))
      .leftJoin(samples, eq(samples.id, sql`coalesce(${runs.sampleId}, ${specimens.sampleId})`))
      // A batch of ends belongs where its first specimen does.
      .innerJoin(
        placements,
        eq(
          placements.id,
          sql`coalesce(${runs.placementId}, ${samples.placementId}, (
          SELECT s.placement_id FROM end_batch_specimens b
          JOIN specimens c ON c.id = b.specimen_id JOIN samples s ON s.id = c.sample_id
          WHERE b.batch_id = ${runs.batchId} ORDER BY b.place LIMIT 1))`,
        ),
      )
      .innerJoin(mixes, eq(mixes.id, placements.mixId))
      .innerJoin(jobs, eq(jobs.id, placements.jobId))
      .where(anyOf(runs.id, runIds))
  );
}

export type RunPlace = Awaited<ReturnType<typeof runPlace>>;

/**
 * Everything a run is computed with besides its readings.
 * @param input the readings so far: the day of the test decides which verification of the equipment counts
 * @param options.forChoosing every piece of equipment of the kinds the method uses; else only what the readings name
 * @param options.by who makes the test, when it is not completed yet
 * @param options.current the readings in force: stamps among them were entered at a time of their own
 */
export async function runSetup(
  db: Queryable,
  place: RunPlace,
  input: Readonly<Record<string, unknown>>,
  now: Date,
  options: {
    forChoosing?: boolean;
    by: string;
    current: readonly { field: string; takenAt: Date }[];
    /** What is known of equipment on this day already, where several runs are looked at together. */
    equipment?: readonly EquipmentFacts[];
  },
): Promise<RunSetup & { system: System }> {
  const { job, run } = place;
  const method = findMethod(run.method);
  if (!method) throw new NotFound(`The method ${run.method}`);
  const at = input[method.performedAt] ?? now.toISOString();
  const day =
    DateTime.fromISO(String(at), { zone: job.zone }).toISODate() ??
    DateTime.fromJSDate(now, { zone: job.zone }).toISODate() ??
    '';
  const { changes } = await limitChangesAt(db, { revision: run.limitsRevision, jobId: job.id });
  const fields = fieldsOf(method.Input).filter((field) => field.kind === 'equipment');
  const stamped = new Set(
    fieldsOf(method.Input).flatMap((field) => (field.kind === 'instant' && field.event ? [field.name] : [])),
  );
  const numbers = fields.map((field) => input[field.name]).filter((value) => typeof value === 'string');
  const kinds = fields.map((field) => field.equipmentKind);
  const facts =
    options.equipment?.filter(({ kind, number }) => kinds.includes(kind) || numbers.includes(number)) ??
    (await equipmentFacts(db, day, {
      numbers,
      exceptRun: run.id,
      ...(options.forChoosing ? { kinds } : {}),
    }));
  return {
    system: job.system,
    rounding: job.rounding,
    profile: job.profile,
    zone: job.zone,
    limitsRevision: run.limitsRevision,
    limitChanges: changes,
    equipment: facts,
    ...(method.needsCard ? { technician: await technicianFacts(db, run.completedBy ?? options.by) } : {}),
    ...(method.press ? await loadLogFacts(db, run.id) : {}),
    enteredAt: Object.fromEntries(
      options.current
        .filter(({ field }) => stamped.has(field))
        .map(({ field, takenAt }) => [field, takenAt.toISOString()]),
    ),
    ...(await subjectFacts(db, place, input, changes)),
  };
}

/** What the newest load log of a run came to; nothing when none was kept. */
async function loadLogFacts(db: Queryable, runId: string): Promise<Pick<RunSetup, 'loadLog'>> {
  const [kept] = await db
    .select({ analysis: loadLogs.analysis })
    .from(loadLogs)
    .where(eq(loadLogs.runId, runId))
    .orderBy(desc(loadLogs.at))
    .limit(1);
  if (!kept) return {};
  const { verdict, troubles, outside, underRead, dips, spikes } = kept.analysis;
  return {
    loadLog: {
      verdict,
      troubles: [...troubles],
      outside,
      underRead,
      dips: dips.map(({ load, depth }) => ({ load, depth })),
      spikes: spikes.map(({ was, now }) => ({ was, now })),
    },
  };
}

/** Who makes a test, with every certificate on file. */
async function technicianFacts(db: Queryable, personId: string): Promise<TechnicianFacts> {
  const [person] = await db.select({ name: people.name }).from(people).where(eq(people.id, personId));
  const owned = await db.select().from(cards).where(eq(cards.personId, personId));
  return {
    name: person?.name ?? '',
    cards: owned.map(({ methods, issuedOn, expiresOn, withdrawnOn }) => ({
      methods: [...methods],
      issuedOn,
      expiresOn,
      ...(withdrawnOn ? { withdrawnOn } : {}),
    })),
  };
}

/** What is known of what the run is made on. */
async function subjectFacts(
  db: Queryable,
  place: RunPlace,
  input: Readonly<Record<string, unknown>>,
  changes: LimitChanges,
): Promise<Pick<RunSetup, 'specimen' | 'sample' | 'placement' | 'batch'>> {
  const { mix, sample, specimen, run, placement, job } = place;
  if (run.batchId) return { batch: await batchFacts(db, run.batchId, job.system, { profile: job.profile }) };
  if (specimen) {
    const counted = isMouldedConcrete(specimen.size)
      ? await ageFrom(db, job, specimen.sampleId, specimen.castAt)
      : specimen.castAt;
    return {
      specimen: {
        label: specimen.label,
        castAt: specimen.castAt.toISOString(),
        ...(counted.getTime() === specimen.castAt.getTime() ? {} : { ageFrom: counted.toISOString() }),
        // A core's days count from its drilling, which its own run knows.
        ...(specimen.ageHours && mouldOf(specimen.size).kind !== 'core'
          ? { ageHours: specimen.ageHours }
          : {}),
        mould: specimen.size,
        ...(isCylinderSize(specimen.size) ? { nominalSize: specimen.size } : {}),
        cure: specimen.cure,
        ...(specimen.ageHours === null ? { held: true } : {}),
        ...specifiedFor(specimen, mix),
        ...(await endsFacts(db, specimen, job)),
        ...(isCylinderSize(specimen.size)
          ? await lotDiameterFacts(db, specimen.id, {
              system: job.system,
              rounding: job.rounding,
              limits: new Limits(changes, run.limitsRevision, job.profile),
            })
          : {}),
      },
    };
  }
  if (sample) {
    return { sample: { ...sampleFacts(sample, mix, placement), ...(await relatedFacts(db, sample, run)) } };
  }
  const previous = await previousReading(db, placement.id, run.method, String(input.readAt ?? ''));
  return {
    placement: {
      label: String(placement.number),
      ...(mix.bleedsLittle ? { bleedsLittle: true } : {}),
      ...(previous ? { previousReadingAt: previous } : {}),
    },
  };
}

type Row<T extends { $inferSelect: object }> = T['$inferSelect'];

function sampleFacts(
  sample: Row<typeof samples>,
  mix: Row<typeof mixes>,
  placement: Row<typeof placements>,
): SampleFacts {
  const known = {
    slump: mix.slump,
    slumpKind: mix.slump ? mix.slumpKind : null,
    slumpClass: mix.slumpClass,
    slumpFlow: mix.slumpFlow,
    temperatureMaximum: mix.temperatureMaximum,
    temperatureMinimum: mix.temperatureMinimum,
    section: placement.section,
    aggregate: mix.aggregate,
    air: mix.air,
    exposure: mix.exposure,
    aggregateFactor: mix.aggregateFactor,
    density: mix.density,
    waterRatio: mix.waterRatio,
    cementitious: mix.cementitious,
    water: mix.water,
  };
  return {
    label: String(sample.number),
    sampledAt: sample.sampledAt.toISOString(),
    kind: sample.kind,
    ...(mix.airReduced ? { airReduced: true } : {}),
    specifiedStrength: mix.specifiedStrength,
    ...Object.fromEntries(Object.entries(known).filter(([, value]) => value !== null)),
  };
}

/** When the same reading was last made at a placement, before this one. */
async function previousReading(
  db: Queryable,
  placementId: string,
  method: string,
  readAt: string,
): Promise<string | undefined> {
  const rows = await db
    .select({ input: outcomes.input })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(and(eq(runs.placementId, placementId), eq(runs.method, method)));
  const before = rows
    .map(({ input }) => String(input.readAt ?? ''))
    .filter((at) => at !== '' && (readAt === '' || Date.parse(at) < Date.parse(readAt)))
    .toSorted((a, b) => Date.parse(a) - Date.parse(b));
  return before.at(-1);
}
