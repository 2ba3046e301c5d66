import { and, desc, eq, inArray, isNull, lte, or, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { isLimitId, type LimitChanges, Limits } from '@/core/limits';
import { hasOwnWindow, isMadeOfSample } from '@/core/materials/forms';
import {
  type EquipmentFacts,
  fieldsOf,
  type Method,
  type RunSetup,
  type TechnicianFacts,
} from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import { isHeld, specimenClasses } from '@/core/moulds';
import type { System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  cards,
  equipment,
  equipmentVerifications,
  type jobs,
  limitChanges,
  loadLogs,
  people,
  specimens,
} from '@/db/schema';
import { specimenNoun, testedBatch } from './batches';
import { NotFound } from './errors';
import { gatherFacts } from './facts';
import { padUses } from './pads';
import { feedAddress } from './press/addresses';
import { recordsOfRuns } from './queries/curves';
import type { RunPlace } from './run-place';
import { ageFrom, sampleEvents, stampsInWords } from './sample-stamps';

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
      ...(last?.certificate ? { certificate: last.certificate } : {}),
      ...(last?.serials ? { serials: last.serials } : {}),
      ...(last?.verifiedFrom ? { verifiedFrom: last.verifiedFrom } : {}),
      ...(last?.verifiedTo ? { verifiedTo: last.verifiedTo } : {}),
    };
  });
}

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
    ...(hasRecords(method) ? { records: await recordsOf(db, run.id) } : {}),
    enteredAt: Object.fromEntries(
      options.current
        .filter(({ field }) => stamped.has(field))
        .map(({ field, takenAt }) => [field, takenAt.toISOString()]),
    ),
    facts: await gatherFacts(db, place, method, input),
    ...(await subjectOf(db, place)),
  };
}

const hasRecords = (method: Method): boolean => fieldsOf(method.Input).some(({ kind }) => kind === 'record');

/** What the newest record for each reading of a run says. */
async function recordsOf(db: Queryable, runId: string): Promise<NonNullable<RunSetup['records']>> {
  const kept = await recordsOfRuns(db, [runId]);
  return Object.fromEntries(kept.map(({ field, record }) => [field, record]));
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
  const { verdict, troubles, outside, underRead, dips, spikes, startAt, halfAt, peakAt, bend } =
    kept.analysis;
  return {
    loadLog: {
      verdict,
      troubles: [...troubles],
      outside,
      underRead,
      toPeak: Math.max(0, peakAt - startAt),
      secondHalf: halfAt === null ? null : Math.max(0, peakAt - halfAt),
      dips: dips.map(({ load, depth }) => ({ load, depth })),
      spikes: spikes.map(({ was, now }) => ({ was, now })),
      ...(bend ? { bend } : {}),
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
async function subjectOf(
  db: Queryable,
  { sample, specimen, run, placement, job }: RunPlace,
): Promise<Pick<RunSetup, 'specimen' | 'sample' | 'lot' | 'batch'>> {
  if (run.batchId) return { batch: await testedBatch(db, run.batchId, job.system) };
  if (specimen) {
    const counted = isMadeOfSample(specimen.form)
      ? await ageFrom(db, job, specimen.sampleId, specimen.since)
      : specimen.since;
    const { ageHours, ...noun } = specimenNoun(specimen);
    return {
      specimen: {
        ...noun,
        ...(counted.getTime() === specimen.since.getTime() ? {} : { ageFrom: counted.toISOString() }),
        // What has a window of its own says in its run what its days count from.
        ...(ageHours && !hasOwnWindow(specimen.form) ? { ageHours } : {}),
        ...(isHeld(specimen) ? { held: true } : {}),
      },
    };
  }
  if (!sample) return { lot: { label: String(placement.number) } };
  const stamps = (await sampleEvents(db, [sample.id])).get(sample.id) ?? {};
  const made = await db
    .select({ form: specimens.form, about: specimens.about })
    .from(specimens)
    .where(eq(specimens.sampleId, sample.id));
  return {
    sample: {
      label: String(sample.number),
      sampledAt: sample.sampledAt.toISOString(),
      kind: sample.kind,
      events: stampsInWords(stamps),
      specimens: specimenClasses(made),
    },
  };
}
