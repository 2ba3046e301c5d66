import { sql } from 'drizzle-orm';
import { index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { at } from './columns';

/**
 * What waits: a projection, written anew with what it is derived from, holding nothing of its own. The waits of runs and
 * of tanks and rooms are written by the server, that of a specimen's age by a trigger on specimens.
 */
export const waits = pgTable(
  'waits',
  {
    /** The specimen, run, tank or room that it belongs to. */
    owner: uuid('owner').notNull(),
    key: text('key').notNull(),
    specimenId: uuid('specimen_id'),
    sampleId: uuid('sample_id'),
    lotId: uuid('lot_id'),
    runId: uuid('run_id'),
    storageId: uuid('storage_id'),
    what: text('what').notNull(),
    lane: text('lane').notNull(),
    /** Designated age in hours, where it is one. */
    ageHours: integer('age_hours'),
    opensAt: at('opens_at').notNull(),
    bestAt: at('best_at'),
    closesAt: at('closes_at'),
    /** When it was done; what ends by itself has it at its opening, which may be to come. */
    doneAt: at('done_at'),
    provisional: text('provisional'),
  },
  (table) => [
    primaryKey({ columns: [table.owner, table.key] }),
    index('waits_waiting').on(table.closesAt).where(sql`done_at IS NULL`),
    index('waits_done').on(table.doneAt).where(sql`done_at IS NOT NULL`),
    index('waits_of_sample').on(table.sampleId).where(sql`specimen_id IS NULL`),
  ],
);
