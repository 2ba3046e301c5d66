import { sql } from 'drizzle-orm';
import { boolean, index, integer, jsonb, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core';
import type { Batch } from '@/core/interchange';
import type { Draw } from '@/core/sampling-plan';
// Relative: the generator of migrations reads this file and knows no aliases.
import { HAND_OVERS, SPECIMEN_EVENTS } from '../../core/identity/custody';
import { PROFILES } from '../../core/limits/schools';
import { EXPOSURES, SAMPLE_KINDS, SLUMP_CLASSES } from '../../core/methods/kinds';
import { type MouldSize, SPECIMEN_SIZES } from '../../core/moulds/moulds';
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
    slumpClass: text('slump_class', { enum: SLUMP_CLASSES }),
    slumpFlow: text('slump_flow'),
    /** Nominal maximum size of the aggregate. */
    aggregate: text('aggregate'),
    air: text('air'),
    exposure: text('exposure', { enum: EXPOSURES }),
    airMethod: text('air_method', { enum: ['pressure', 'volumetric'] }),
    aggregateFactor: text('aggregate_factor'),
    /** The project permits the reduced air of concrete above the limit of strength. */
    airReduced: boolean('air_reduced').notNull().default(false),
    density: text('density'),
    waterRatio: text('water_ratio'),
    cementitious: text('cementitious'),
    water: text('water'),
    bleedsLittle: boolean('bleeds_little').notNull().default(false),
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
    /** Slab, or one face of a wall. */
    area: text('area'),
    /** Least dimension of the section. */
    section: text('section'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.jobId, table.number),
    index().on(table.jobId, table.placedAt),
    index().on(table.mixId),
  ],
);

/** How many samples a placement asks for and where they were drawn. Append only: a change of volume is a new plan. */
export const samplingPlans = pgTable(
  'sampling_plans',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    placementId: uuid('placement_id')
      .notNull()
      .references(() => placements.id),
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
  (table) => [index().on(table.placementId, table.at)],
);

/** A truck with its ticket, in the order they come. */
export const loads = pgTable(
  'loads',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    clientId: uuid('client_id').notNull().unique(),
    placementId: uuid('placement_id')
      .notNull()
      .references(() => placements.id),
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
  (table) => [unique().on(table.placementId, table.number)],
);

/** What a file of the plant said of a ticket, before or after its truck came. Append only; the first one stands. */
export const batches = pgTable(
  'batches',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    placementId: uuid('placement_id')
      .notNull()
      .references(() => placements.id),
    ticket: text('ticket').notNull(),
    batch: jsonb('batch').$type<Batch>().notNull(),
    by: text('by')
      .notNull()
      .references(() => people.id),
    at: at('at').notNull(),
  },
  (table) => [unique().on(table.placementId, table.ticket)],
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
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique().on(table.jobId, table.number),
    index().on(table.jobId, table.sampledAt),
    index().on(table.sampledAt),
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
    size: text('size', { enum: SPECIMEN_SIZES as [MouldSize, ...MouldSize[]] }).notNull(),
    cure: text('cure', { enum: ['standard', 'field'] })
      .notNull()
      .default('standard'),
    castAt: at('cast_at').notNull(),
    /** Designated age in elapsed hours; null for a held specimen, which has no window. */
    ageHours: integer('age_hours'),
    opensAt: at('opens_at'),
    closesAt: at('closes_at'),
    testedAt: at('tested_at'),
    /** Thrown away before it was tested; null again when that was a mistake. Its events say who and why. */
    discardedAt: at('discarded_at'),
    /** Strength asked of a grout or a mortar; null for concrete, whose mix says it. */
    specifiedStrength: text('specified_strength'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    index().on(table.sampleId),
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
