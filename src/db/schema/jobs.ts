import { index, integer, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core';
import { at } from './columns';
import { people } from './people';

export const jobs = pgTable('jobs', {
  id: uuid('id').primaryKey().defaultRandom(),
  number: text('number').notNull().unique(),
  name: text('name').notNull(),
  owner: text('owner').notNull(),
  location: text('location').notNull(),
  zone: text('zone').notNull(),
  system: text('system', { enum: ['US', 'SI'] }).notNull(),
  rounding: text('rounding', { enum: ['half-even', 'half-up'] })
    .notNull()
    .default('half-even'),
  createdAt: at('created_at').notNull().defaultNow(),
});

/** Which clients may read which jobs. */
export const jobClients = pgTable(
  'job_clients',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.personId] }), index().on(table.personId)],
);

/** A concrete mix in one version; a change of what is specified is a new version, never an overwrite. */
export const mixes = pgTable(
  'mixes',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    code: text('code').notNull(),
    version: integer('version').notNull().default(1),
    title: text('title').notNull(),
    /** f'c with its unit, as specified. */
    specifiedStrength: text('specified_strength').notNull(),
    ageHours: integer('age_hours').notNull(),
    slumpKind: text('slump_kind', { enum: ['target', 'maximum'] }),
    slump: text('slump'),
    temperatureMaximum: text('temperature_maximum'),
    temperatureMinimum: text('temperature_minimum'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [unique().on(table.jobId, table.code, table.version)],
);

/** The acceptance criteria a mix is held against. */
export const mixCriteria = pgTable(
  'mix_criteria',
  {
    mixId: uuid('mix_id')
      .notNull()
      .references(() => mixes.id),
    criterion: text('criterion', { enum: ['running-average', 'individual'] }).notNull(),
    designation: text('designation').notNull(),
    edition: text('edition').notNull(),
  },
  (table) => [primaryKey({ columns: [table.mixId, table.criterion] })],
);

export const placements = pgTable(
  'placements',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    mixId: uuid('mix_id')
      .notNull()
      .references(() => mixes.id),
    number: integer('number').notNull(),
    placedAt: at('placed_at').notNull(),
    element: text('element').notNull(),
    location: text('location').notNull().default(''),
    volume: text('volume'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.jobId, table.number),
    index().on(table.jobId, table.placedAt),
    index().on(table.mixId),
  ],
);

export const samples = pgTable(
  'samples',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    placementId: uuid('placement_id')
      .notNull()
      .references(() => placements.id),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    number: integer('number').notNull(),
    ticket: text('ticket').notNull().default(''),
    truck: text('truck').notNull().default(''),
    /** Final portion of the composite: every fresh-test clock starts here. */
    sampledAt: at('sampled_at').notNull(),
    sampledBy: text('sampled_by')
      .notNull()
      .references(() => people.id),
    /** Made by the device, so that pressing twice on a bad network is one sample. */
    clientId: uuid('client_id').notNull().unique(),
    remarks: text('remarks').notNull().default(''),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.jobId, table.number),
    index().on(table.jobId, table.sampledAt),
    index().on(table.placementId),
  ],
);

export const specimens = pgTable(
  'specimens',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    sampleId: uuid('sample_id')
      .notNull()
      .references(() => samples.id),
    label: text('label').notNull().unique(),
    size: text('size', { enum: ['4x8', '6x12', '100x200', '150x300'] }).notNull(),
    cure: text('cure', { enum: ['standard', 'field'] })
      .notNull()
      .default('standard'),
    castAt: at('cast_at').notNull(),
    /** Designated age in elapsed hours; null for a held specimen, which has no window. */
    ageHours: integer('age_hours'),
    opensAt: at('opens_at'),
    closesAt: at('closes_at'),
    testedAt: at('tested_at'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [index().on(table.sampleId), index().on(table.testedAt, table.closesAt)],
);

/** What happened to a specimen, in order. Append only; the last one says where it is now. */
export const specimenEvents = pgTable(
  'specimen_events',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    specimenId: uuid('specimen_id')
      .notNull()
      .references(() => specimens.id),
    kind: text('kind', {
      enum: ['moulded', 'received', 'final cure', 'on hold', 'tested', 'discarded', 'note'],
    }).notNull(),
    at: at('at').notNull(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    note: text('note').notNull().default(''),
    savedAt: at('saved_at').notNull().defaultNow(),
  },
  (table) => [index().on(table.specimenId, table.at)],
);
