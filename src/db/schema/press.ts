import { bigint, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { at, bytes, person } from './columns';
import { runs } from './runs';

/** A run being loaded in a machine whose readings are followed: what the recorder must keep. */
export const pressFeeds = pgTable(
  'press_feeds',
  {
    id: uuid('id').primaryKey(),
    runId: uuid('run_id')
      .notNull()
      .references(() => runs.id),
    /** Number of the machine in the register. */
    machine: text('machine').notNull(),
    /** Life of the device's process: its readings are numbered anew when it starts anew. */
    boot: text('boot').notNull(),
    /** The first reading that belongs to the run. */
    fromSeq: bigint('from_seq', { mode: 'number' }).notNull(),
    openedAt: at('opened_at').notNull(),
    by: person('by').notNull(),
    closedAt: at('closed_at'),
    /** The last reading that belongs to the run, known when it is closed. */
    toSeq: bigint('to_seq', { mode: 'number' }),
  },
  (table) => [index().on(table.runId), index().on(table.closedAt)],
);

/** What a machine sent, some readings to a row, as it came. Append only. */
export const pressReadings = pgTable(
  'press_readings',
  {
    feedId: uuid('feed_id')
      .notNull()
      .references(() => pressFeeds.id),
    firstSeq: bigint('first_seq', { mode: 'number' }).notNull(),
    lastSeq: bigint('last_seq', { mode: 'number' }).notNull(),
    count: integer('count').notNull(),
    /** Numbers that were asked for and never came. */
    missing: jsonb('missing').$type<readonly (readonly [number, number])[]>().notNull().default([]),
    /** The lines as they came, compressed. */
    lines: bytes('lines').notNull(),
    at: at('at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.feedId, table.firstSeq] })],
);
