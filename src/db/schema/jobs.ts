import { sql } from 'drizzle-orm';
import {
  type AnyPgColumn,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Batch } from '@/core/interchange';
import type { ConcreteAsked, PlacementAbout, SpecimenAbout } from '@/core/materials/concrete/record';
import type { Draw } from '@/core/sampling-plan';
// Relative: the generator of migrations reads this file and knows no aliases.
import { HAND_OVERS, SPECIMEN_EVENTS } from '../../core/identity/custody';
import { PROFILES } from '../../core/limits/schools';
import { SAMPLE_KINDS } from '../../core/methods/kinds';
import { at } from './columns';
import { people } from './people';
import { storages } from './storage';

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
  /** The school of testing the project follows. */
  profile: text('profile', { enum: PROFILES }).notNull().default('astm'),
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
    /** Since when they may not read it any more. */
    endedAt: at('ended_at'),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.personId] }), index().on(table.personId)],
);

/** What is asked of a material in one version; a change of what is asked is a new version, never an overwrite. */
export const specifications = pgTable(
  'specifications',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    /** Its entry in the registry of materials. */
    material: text('material').notNull(),
    code: text('code').notNull(),
    version: integer('version').notNull().default(1),
    title: text('title').notNull(),
    /** Typed by the material. */
    asked: jsonb('asked').$type<ConcreteAsked>().notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [unique().on(table.jobId, table.code, table.version)],
);

/** The criteria a specification is held against. */
export const requirements = pgTable(
  'requirements',
  {
    specificationId: uuid('specification_id')
      .notNull()
      .references(() => specifications.id),
    criterion: text('criterion').notNull(),
    designation: text('designation').notNull(),
    edition: text('edition').notNull(),
  },
  (table) => [primaryKey({ columns: [table.specificationId, table.criterion] })],
);

/** What is judged: a placement of concrete, a delivery of units, a borehole, a floor and its zones. */
export const lots = pgTable(
  'lots',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    specificationId: uuid('specification_id')
      .notNull()
      .references(() => specifications.id),
    /** The lot that it is a part of. */
    parentId: uuid('parent_id').references((): AnyPgColumn => lots.id),
    number: integer('number').notNull(),
    /** When it was placed, delivered, drilled. */
    startsAt: at('starts_at').notNull(),
    title: text('title').notNull(),
    /** Typed by the material. */
    about: jsonb('about').$type<PlacementAbout>().notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.jobId, table.number),
    index().on(table.jobId, table.startsAt),
    index().on(table.specificationId),
    index().on(table.parentId),
  ],
);

/** How many samples a lot asks for and where they were drawn. Append only: a change of its size is a new plan. */
export const samplingPlans = pgTable(
  'sampling_plans',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    seed: integer('seed').notNull(),
    volume: text('volume').notNull(),
    area: text('area'),
    count: integer('count').notNull(),
    why: text('why').notNull(),
    draws: jsonb('draws').$type<readonly Draw[]>().notNull(),
    by: text('by')
      .notNull()
      .references(() => people.id),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.lotId, table.at)],
);

/** A truck with its ticket, in the order they come. */
export const loads = pgTable(
  'loads',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    clientId: uuid('client_id').notNull().unique(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    number: integer('number').notNull(),
    ticket: text('ticket').notNull(),
    truck: text('truck').notNull().default(''),
    volume: text('volume').notNull(),
    arrivedAt: at('arrived_at').notNull(),
    by: text('by')
      .notNull()
      .references(() => people.id),
    /** Why it was corrected last; what it was before stands in the trail. */
    correction: text('correction'),
    /** Why it does not count: it never came, or was entered twice. It stays on record. */
    struckOut: text('struck_out'),
  },
  (table) => [unique().on(table.lotId, table.number)],
);

/** What a file of the plant said of a ticket, before or after its truck came. Append only; the first one stands. */
export const plantBatches = pgTable(
  'plant_batches',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    ticket: text('ticket').notNull(),
    batch: jsonb('batch').$type<Batch>().notNull(),
    by: text('by')
      .notNull()
      .references(() => people.id),
    at: at('at').notNull(),
  },
  (table) => [unique().on(table.lotId, table.ticket)],
);

export const samples = pgTable(
  'samples',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    loadId: uuid('load_id').references(() => loads.id),
    kind: text('kind', { enum: SAMPLE_KINDS }).notNull().default('acceptance'),
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
    /** Typed by the material. */
    about: jsonb('about').$type<Readonly<Record<string, unknown>>>().notNull().default({}),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.jobId, table.number),
    index().on(table.jobId, table.sampledAt),
    index().on(table.sampledAt),
    index().on(table.lotId),
  ],
);

/** What is tested: a piece that was made, taken or cut, or a point on the plan of its lot. */
export const specimens = pgTable(
  'specimens',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    sampleId: uuid('sample_id')
      .notNull()
      .references(() => samples.id),
    /** The specimen that it was cut from: a brick and its halves. */
    parentId: uuid('parent_id').references((): AnyPgColumn => specimens.id),
    label: text('label').notNull().unique(),
    /** Shape and size, of the forms that its material has. */
    form: text('form').notNull(),
    /** What it is for, where specimens of one form are for different tests. */
    role: text('role'),
    /** Since when its age counts: made, cast, drilled. */
    since: at('since').notNull(),
    /** Where it lies on the plan of its lot, 0 to 1. */
    place: jsonb('place').$type<{ x: number; y: number }>(),
    /** Typed by the material: curing, strength asked for. */
    about: jsonb('about').$type<SpecimenAbout>().notNull(),
    /** Designated age in elapsed hours; null for a held specimen, which has no window. */
    ageHours: integer('age_hours'),
    opensAt: at('opens_at'),
    closesAt: at('closes_at'),
    testedAt: at('tested_at'),
    /** Thrown away before it was tested; null again when that was a mistake. Its events say who and why. */
    discardedAt: at('discarded_at'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    index().on(table.sampleId),
    index().on(table.parentId),
    index().on(table.testedAt, table.closesAt),
    // What waits, by when it closes: the lists of what is due read nothing else.
    index('specimens_waiting')
      .on(table.closesAt)
      .where(sql`tested_at IS NULL AND discarded_at IS NULL AND closes_at IS NOT NULL`),
    index('specimens_there').on(table.id).where(sql`tested_at IS NULL AND discarded_at IS NULL`),
    index('specimens_broken').on(table.testedAt).where(sql`tested_at IS NOT NULL`),
    index('specimens_label_words').using('gin', sql`${table.label} gin_trgm_ops`),
  ],
);

/** A hand-over of specimens, with both names: who gave them and who took them. */
export const handovers = pgTable(
  'handovers',
  {
    id: uuid('id').primaryKey(),
    kind: text('kind', { enum: HAND_OVERS }).notNull(),
    at: at('at').notNull(),
    fromPersonId: text('from_person_id')
      .notNull()
      .references(() => people.id),
    toPersonId: text('to_person_id')
      .notNull()
      .references(() => people.id),
    place: text('place').notNull().default(''),
    condition: text('condition').notNull().default(''),
    count: integer('count').notNull(),
    note: text('note').notNull().default(''),
    savedAt: at('saved_at').notNull().defaultNow(),
  },
  (table) => [index().on(table.at)],
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
      enum: SPECIMEN_EVENTS,
    }).notNull(),
    at: at('at').notNull(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    note: text('note').notNull().default(''),
    /** Where it stands from then on: box and row, tank and rack. */
    place: text('place').notNull().default(''),
    /** The tank or room it stands in from then on, and where in it: `B3`. */
    storageId: uuid('storage_id').references(() => storages.id),
    position: text('position'),
    handoverId: uuid('handover_id').references(() => handovers.id),
    savedAt: at('saved_at').notNull().defaultNow(),
  },
  (table) => [index().on(table.specimenId, table.at)],
);
