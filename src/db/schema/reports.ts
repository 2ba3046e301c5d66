import { sql } from 'drizzle-orm';
import {
  bigint,
  bigserial,
  check,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { at, bytes, person } from './columns';
import { jobs, lots, samples } from './jobs';
import { outcomes, runs } from './runs';

/** A report of a sample or of a lot. Signed, it is frozen: content, file, and what it rests on. */
export const reports = pgTable(
  'reports',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    /** What it is of: one sample, or all of a lot. */
    sampleId: uuid('sample_id').references(() => samples.id),
    lotId: uuid('lot_id').references(() => lots.id),
    number: text('number').notNull(),
    revision: integer('revision').notNull().default(0),
    state: text('state', { enum: ['draft', 'signed'] })
      .notNull()
      .default('draft'),
    preparedAt: at('prepared_at').notNull(),
    preparedBy: person('prepared_by').notNull(),
    signedAt: at('signed_at'),
    signedBy: person('signed_by'),
    /** The report's content as signed; null in a draft, which is composed anew each time it is looked at. */
    content: jsonb('content').$type<unknown>(),
    pdf: bytes('pdf'),
    /** Of the PDF: it goes into the trail with its signature, the PDF itself does not. */
    pdfSha256: text('pdf_sha256').generatedAlwaysAs(sql`encode(sha256(pdf), 'hex')`),
    /** Of the content that its signer was shown, SHA-256 in hex: what was signed is what was read. */
    contentSha256: text('content_sha256'),
    /** The signed report this one replaces, and why. */
    replacesId: uuid('replaces_id'),
    replaceReason: text('replace_reason'),
  },
  (table) => [
    unique().on(table.number, table.revision),
    index().on(table.jobId, table.preparedAt),
    index().on(table.sampleId),
    index().on(table.lotId),
    index().on(table.replacesId),
    check('reports_of_one', sql`num_nonnulls(sample_id, lot_id) = 1`),
    // The list of reports is read from the newest on, a page at a time.
    index().on(table.preparedAt, table.id),
  ],
);

/** What a signed report rests on. */
export const reportOutcomes = pgTable(
  'report_outcomes',
  {
    reportId: uuid('report_id')
      .notNull()
      .references(() => reports.id),
    outcomeId: uuid('outcome_id')
      .notNull()
      .references(() => outcomes.id),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
  },
  (table) => [primaryKey({ columns: [table.reportId, table.outcomeId] }), index().on(table.runId)],
);

/** What was done about a low test. Append only. */
export const followUps = pgTable(
  'follow_ups',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    sampleId: uuid('sample_id')
      .notNull()
      .references(() => samples.id),
    stepId: text('step_id').notNull(),
    note: text('note').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.sampleId)],
);

/** A reviewer has read a draft as it was then. Append only. */
export const reportReadings = pgTable(
  'report_readings',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    reportId: uuid('report_id')
      .notNull()
      .references(() => reports.id),
    /** Of the content that they were shown. */
    mark: text('mark').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.reportId)],
);

/** What a laboratory has decided for itself. Append only: the newest of a key is in force. */
export const settings = pgTable(
  'settings',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    key: text('key').notNull(),
    value: text('value').notNull(),
    note: text('note').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.key, table.seq)],
);

/** Written by triggers only. */
export const audit = pgTable(
  'audit',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    at: at('at').notNull().defaultNow(),
    actor: text('actor'),
    useCase: text('use_case'),
    tableName: text('table_name').notNull(),
    rowKey: text('row_key').notNull(),
    action: text('action').notNull(),
    before: jsonb('before'),
    after: jsonb('after'),
  },
  (table) => [
    index().on(table.tableName, table.rowKey),
    index().on(table.at),
    index().on(table.actor, table.id),
  ],
);

/**
 * The entries of the trail one after the other as their transactions were committed, each with the hash of the one before.
 * Written by a trigger only.
 */
export const auditChain = pgTable('audit_chain', {
  place: bigserial('place', { mode: 'number' }).primaryKey(),
  entry: bigint('entry', { mode: 'number' })
    .notNull()
    .unique()
    .references(() => audit.id),
  before: text('before').notNull(),
  hash: text('hash').notNull(),
});
