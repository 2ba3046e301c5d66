import { boolean, index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { at, person } from './columns';
import { specimens } from './jobs';

/** Specimens whose ends are made ready together: capped from one pot, or ground in one go. */
export const endBatches = pgTable('end_batches', {
  id: uuid('id').primaryKey(),
  number: integer('number').notNull().unique(),
  kind: text('kind', { enum: ['capping', 'end-grinding'] }).notNull(),
  /** Decides which specimens are looked at more closely, before anything is poured. */
  seed: integer('seed').notNull(),
  madeAt: at('made_at').notNull(),
  by: person('by').notNull(),
});

/** The specimens of a batch in the order they are done. */
export const endBatchSpecimens = pgTable(
  'end_batch_specimens',
  {
    batchId: uuid('batch_id')
      .notNull()
      .references(() => endBatches.id),
    specimenId: uuid('specimen_id')
      .notNull()
      .references(() => specimens.id),
    place: integer('place').notNull(),
  },
  (table) => [primaryKey({ columns: [table.batchId, table.specimenId] })],
);

/** Cylinders of a day from one lot of moulds: some are measured, the others take their mean. */
export const diameterLots = pgTable('diameter_lots', {
  id: uuid('id').primaryKey(),
  /** The moulds, as they are called. */
  lot: text('lot').notNull(),
  /** Decides which are measured, before anything is. */
  seed: integer('seed').notNull(),
  madeAt: at('made_at').notNull(),
  by: person('by').notNull(),
});

export const diameterLotSpecimens = pgTable(
  'diameter_lot_specimens',
  {
    lotId: uuid('lot_id')
      .notNull()
      .references(() => diameterLots.id),
    specimenId: uuid('specimen_id')
      .notNull()
      .references(() => specimens.id),
    place: integer('place').notNull(),
    drawn: boolean('drawn').notNull(),
  },
  (table) => [primaryKey({ columns: [table.lotId, table.specimenId] }), index().on(table.specimenId)],
);
