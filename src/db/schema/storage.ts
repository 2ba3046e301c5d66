import { date, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
// Relative: the generator of migrations reads this file and knows no aliases.
import { DUTIES, STORAGE_KINDS } from '../../core/storage/duties';
import { at, person } from './columns';
import { people } from './people';

/** A curing tank or moist room, as a map of positions: rows named by letters, columns by numbers. */
export const storages = pgTable('storages', {
  id: uuid('id').primaryKey().defaultRandom(),
  name: text('name').notNull().unique(),
  kind: text('kind', { enum: STORAGE_KINDS }).notNull(),
  rows: integer('rows').notNull(),
  columns: integer('columns').notNull(),
  /** Of the water, for the lime it needs; tanks only. */
  volume: text('volume'),
  createdAt: at('created_at').notNull(),
});

/** A duty done on a tank or room. Append only: the newest of a kind says when it is due again. */
export const storageDuties = pgTable(
  'storage_duties',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    storageId: uuid('storage_id')
      .notNull()
      .references(() => storages.id),
    duty: text('duty', { enum: DUTIES }).notNull(),
    at: at('at').notNull(),
    by: person('by').notNull(),
    /** Lowest and highest of the record that was reviewed, with their unit. */
    lowest: text('lowest'),
    highest: text('highest'),
    note: text('note').notNull().default(''),
  },
  (table) => [index().on(table.storageId, table.duty, table.at)],
);

/** A technician's certificate: which tests it covers and from when to when. Withdrawn, never deleted. */
export const cards = pgTable(
  'cards',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    number: text('number').notNull(),
    methods: jsonb('methods').$type<readonly string[]>().notNull(),
    issuedOn: date('issued_on', { mode: 'string' }).notNull(),
    expiresOn: date('expires_on', { mode: 'string' }).notNull(),
    withdrawnOn: date('withdrawn_on', { mode: 'string' }),
    withdrawnReason: text('withdrawn_reason'),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.personId)],
);
