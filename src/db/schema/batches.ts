import { boolean, index, integer, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core';
import { at, person } from './columns';
import { specimens } from './jobs';

/** Specimens that are made ready together: capped from one pot, ground in one go, measured as one lot of moulds. */
export const batches = pgTable(
  'batches',
  {
    id: uuid('id').primaryKey(),
    number: integer('number').notNull(),
    /** The method that makes them ready, or `diameter` for a lot of moulds. */
    kind: text('kind').notNull(),
    /** Decides which specimens are looked at more closely, before anything is done. */
    seed: integer('seed').notNull(),
    /** What the moulds of a lot are called; empty for a batch with a run of its own. */
    title: text('title').notNull().default(''),
    madeAt: at('made_at').notNull(),
    by: person('by').notNull(),
  },
  (table) => [unique().on(table.kind, table.number), index().on(table.madeAt)],
);

/** The specimens of a batch in the order they are done. */
export const batchMembers = pgTable(
  'batch_members',
  {
    batchId: uuid('batch_id')
      .notNull()
      .references(() => batches.id),
    specimenId: uuid('specimen_id')
      .notNull()
      .references(() => specimens.id),
    place: integer('place').notNull(),
    /** Drawn to be measured for the others. */
    drawn: boolean('drawn').notNull().default(false),
  },
  (table) => [primaryKey({ columns: [table.batchId, table.specimenId] }), index().on(table.specimenId)],
);
