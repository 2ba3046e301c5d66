import { sql } from 'drizzle-orm';
import {
  bigint,
  bigserial,
  boolean,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { LimitChange } from '@/core/limits';
import type { CompoundFacts, MachineFacts, Outcome, PadFacts, RunSetup } from '@/core/methods';
import type { KeptMapping, KeptRecord } from '@/core/records/kept-record';
import type { CurvePoint, LogAnalysis, LogMapping } from '@/core/signals';
import { batches } from './batches';
import { at, bytes, person } from './columns';
import { jobs, lots, samples, specimens } from './jobs';

/** A method carried out on a specimen or sample. */
export const runs = pgTable(
  'runs',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    method: text('method').notNull(),
    specimenId: uuid('specimen_id').references(() => specimens.id),
    sampleId: uuid('sample_id').references(() => samples.id),
    lotId: uuid('lot_id').references(() => lots.id),
    batchId: uuid('batch_id').references(() => batches.id),
    attempt: integer('attempt').notNull().default(1),
    /** Why the test was made again, for attempts after the first. */
    repeatReason: text('repeat_reason'),
    state: text('state', { enum: ['open', 'complete'] })
      .notNull()
      .default('open'),
    limitsRevision: integer('limits_revision').notNull(),
    startedAt: at('started_at').notNull(),
    startedBy: person('started_by').notNull(),
    completedAt: at('completed_at'),
    completedBy: person('completed_by'),
  },
  (table) => [
    unique().on(table.specimenId, table.method, table.attempt),
    unique().on(table.sampleId, table.method, table.attempt),
    unique().on(table.lotId, table.method, table.attempt),
    unique().on(table.batchId, table.method, table.attempt),
  ],
);

/** Why a signed report's basis is changed; readings made under it carry its id. */
export const amendments = pgTable(
  'amendments',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    reportId: uuid('report_id').notNull(),
    code: text('code').notNull(),
    reason: text('reason').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.reportId)],
);

/** Readings as they were taken and typed. Append only: the newest of a field is in force, the older ones stay. */
export const readings = pgTable(
  'readings',
  {
    seq: bigserial('seq', { mode: 'number' }).notNull().unique(),
    /** Made by the device that took the reading, so that a retry never doubles it. */
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    field: text('field').notNull(),
    /** As typed; null when the reading was taken back. */
    text: text('text'),
    takenAt: at('taken_at').notNull(),
    savedAt: at('saved_at').notNull().defaultNow(),
    /** What the device's own clock said, when it was found to be wrong and `takenAt` was put right. */
    deviceAt: at('device_at'),
    /** The device's steady counter, ms since its page was opened: a change of its clock does not move it. */
    steadyMs: bigint('steady_ms', { mode: 'number' }),
    by: person('by').notNull(),
    reason: text('reason'),
    amendmentId: uuid('amendment_id').references(() => amendments.id),
  },
  (table) => [
    index().on(table.runId, table.field, table.seq),
    // Uses of a pair of pads are counted from the tests that name it, over all the years.
    index('readings_pads').on(table.text).where(sql`field = 'pads'`),
  ],
);

/** What came of a run's readings at a moment. Append only: a later computing is a new row. */
export const outcomes = pgTable(
  'outcomes',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    /** The last reading it was computed from. */
    readingSeq: bigint('reading_seq', { mode: 'number' }).notNull(),
    input: jsonb('input').$type<Record<string, unknown>>().notNull(),
    setup: jsonb('setup').$type<RunSetup>().notNull(),
    outcome: jsonb('outcome').$type<Outcome>().notNull(),
    computedAt: at('computed_at').notNull(),
    by: person('by').notNull(),
  },
  (table) => [index().on(table.runId, table.seq)],
);

/** The recorded reason for going on against a finding. */
export const runReasons = pgTable(
  'run_reasons',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    findingId: text('finding_id').notNull(),
    reason: text('reason').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.runId)],
);

/** A reviewer's word on a recorded reason. */
export const reasonAcceptances = pgTable('reason_acceptances', {
  reasonId: uuid('reason_id')
    .primaryKey()
    .references(() => runReasons.id),
  by: person('by').notNull(),
  at: at('at').notNull(),
});

export const equipment = pgTable('equipment', {
  id: uuid('id').primaryKey().defaultRandom(),
  number: text('number').notNull().unique(),
  kind: text('kind').notNull(),
  name: text('name').notNull(),
  place: text('place').notNull().default(''),
  inService: boolean('in_service').notNull().default(true),
  /** How the files of this machine are written, as it was confirmed last. */
  logMapping: jsonb('log_mapping').$type<LogMapping>(),
  /** What a testing machine is like: indicator, room, spacers, faces. */
  machine: jsonb('machine').$type<MachineFacts>(),
  /** What a pair of unbonded pads with its retainers is like. */
  pads: jsonb('pads').$type<PadFacts>(),
  /** What a lot of capping compound was qualified to. */
  compound: jsonb('compound').$type<CompoundFacts>(),
});

export const equipmentVerifications = pgTable(
  'equipment_verifications',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    equipmentId: uuid('equipment_id')
      .notNull()
      .references(() => equipment.id),
    verifiedOn: date('verified_on', { mode: 'string' }).notNull(),
    /** Ends of the verified range with their unit, for machines. */
    verifiedFrom: text('verified_from'),
    verifiedTo: text('verified_to'),
    /** The serial numbers that its certificate is of: a pack of sensors has one for all. */
    serials: text('serials'),
    /** What a machine showed at each load that was applied, as the certificate lists them. */
    loads: jsonb('loads').$type<{ unit: 'lbf' | 'kN'; pairs: string[][] }>(),
    /** What a lot of capping compound proved: the mean of its cubes, with its unit. */
    strength: text('strength'),
    certificate: text('certificate').notNull().default(''),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.equipmentId, table.verifiedOn)],
);

/** The certificate of a verification as it came: a picture or a PDF. Append only; the newest counts. */
export const certificates = pgTable(
  'certificates',
  {
    id: uuid('id').primaryKey(),
    verificationId: uuid('verification_id')
      .notNull()
      .references(() => equipmentVerifications.id),
    name: text('name').notNull(),
    mime: text('mime').notNull(),
    sha256: text('sha256').notNull(),
    bytes: bytes('bytes').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.verificationId, table.at)],
);

/** A file that belongs to a run: photographs of the break, logs. */
export const attachments = pgTable(
  'attachments',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    name: text('name').notNull(),
    mime: text('mime').notNull(),
    sha256: text('sha256').notNull(),
    bytes: bytes('bytes').notNull(),
    /** Where it was taken, `lat, long` in degrees; only when the person wanted it kept. */
    place: text('place'),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.runId)],
);

/** A load log as it came from the press, whole, with what its analysis came to. Append only: the newest counts. */
export const loadLogs = pgTable(
  'load_logs',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    name: text('name').notNull(),
    /** Of the file as it came. */
    sha256: text('sha256').notNull(),
    /** The file, compressed. */
    bytes: bytes('bytes').notNull(),
    mapping: jsonb('mapping').$type<LogMapping>().notNull(),
    analysis: jsonb('analysis').$type<LogAnalysis>().notNull(),
    /** The curve thinned to what a page and a report draw; the file itself stays whole. */
    curve: jsonb('curve').$type<readonly CurvePoint[]>(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.runId, table.at)],
);

/**
 * A record over time as it came from a recorder, whole, with what it says. Append only: of each reading of a run the newest
 * counts.
 */
export const keptRecords = pgTable(
  'kept_records',
  {
    id: uuid('id').primaryKey(),
    /** Their order: the newest counts. */
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    /** The reading that it is kept for. */
    field: text('field').notNull(),
    name: text('name').notNull(),
    /** Of the file as it came. */
    sha256: text('sha256').notNull(),
    /** The file, compressed. */
    bytes: bytes('bytes').notNull(),
    mapping: jsonb('mapping').$type<KeptMapping>().notNull(),
    record: jsonb('record').$type<KeptRecord>().notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.runId, table.field, table.seq)],
);

/** What the laboratory confirmed or changed in the limits register; the revision is kept with every run. */
export const limitChanges = pgTable(
  'limit_changes',
  {
    revision: bigserial('revision', { mode: 'number' }).primaryKey(),
    limitId: text('limit_id').notNull(),
    /** The project whose document sets it; null for the laboratory as a whole. */
    jobId: uuid('job_id').references(() => jobs.id),
    change: jsonb('change').$type<LimitChange>().notNull(),
    note: text('note').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.jobId)],
);
