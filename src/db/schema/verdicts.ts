import { sql } from 'drizzle-orm';
import {
  boolean,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uuid,
} from 'drizzle-orm/pg-core';
import { at } from './columns';

/** What the set of a strength test is told of besides its value. */
export interface SetTold {
  /** The strengths of its specimens as they were reported. */
  readonly singles: readonly string[];
  /** How far they lie apart unrounded, and their mean, where all of them count; decimal text. */
  readonly spread: { readonly range: string; readonly mean: string } | null;
  /** Why an engineer must say whether it counts. */
  readonly engineer: readonly string[];
  /** Result of the youngest set of the same sample, for early warning. */
  readonly early: { readonly ageHours: number; readonly text: string } | null;
}

/**
 * What the specimens of samples say together: a projection, written anew with what it is derived from.
 * `released`: as a client sees it, by what signed reports rest on.
 */
export const sets = pgTable(
  'sets',
  {
    sampleId: uuid('sample_id').notNull(),
    key: text('key').notNull(),
    released: boolean('released').notNull(),
    specificationId: uuid('specification_id').notNull(),
    sampledAt: at('sampled_at').notNull(),
    label: text('label').notNull(),
    /** The series that it stands in for its sample; null for one that informs only. */
    series: text('series'),
    state: text('state', { enum: ['tested', 'pending', 'no valid result'] }).notNull(),
    value: text('value'),
    members: integer('members').notNull(),
    told: jsonb('told').$type<SetTold>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sampleId, table.key, table.released] }),
    index('sets_in_order')
      .on(table.specificationId, table.series, table.released, table.sampledAt, table.label)
      .where(sql`series IS NOT NULL`),
    index('sets_of_specification').on(table.specificationId, table.released),
  ],
);

/** What is decided: a projection as well, each verdict with the last sample that it is about. */
export const verdicts = pgTable(
  'verdicts',
  {
    sampleId: uuid('sample_id').notNull(),
    released: boolean('released').notNull(),
    criterion: text('criterion').notNull(),
    /** The set it is held against, of a sample that is judged by itself; the series, in one. */
    key: text('key').notNull(),
    specificationId: uuid('specification_id').notNull(),
    state: text('state', {
      enum: ['meets', 'does not meet', 'not yet determinable', 'needs decision'],
    }).notNull(),
    statistic: text('statistic'),
    limit: text('limit').notNull(),
    margin: text('margin'),
    /** Margin by limit: the least of them governs. */
    share: doublePrecision('share'),
    sentence: text('sentence').notNull(),
    members: jsonb('members').$type<readonly string[]>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sampleId, table.released, table.criterion, table.key] }),
    index('verdicts_of_specification').on(table.specificationId, table.released, table.share),
  ],
);
