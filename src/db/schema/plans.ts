import { bigserial, index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import type { FloorPlan } from '@/core/plan';
import { at, bytes, person } from './columns';
import { lots } from './jobs';

/** A picture of a floor: a scan, a photograph, a page of a PDF. Append only. */
export const lotPictures = pgTable(
  'lot_pictures',
  {
    id: uuid('id').primaryKey(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    name: text('name').notNull(),
    mime: text('mime').notNull(),
    sha256: text('sha256').notNull(),
    bytes: bytes('bytes').notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.lotId)],
);

/** A lot as it is drawn: its size, zones, walls and corridors. Append only: the newest counts. */
export const lotPlans = pgTable(
  'lot_plans',
  {
    id: uuid('id').primaryKey(),
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    lotId: uuid('lot_id')
      .notNull()
      .references(() => lots.id),
    pictureId: uuid('picture_id').references(() => lotPictures.id),
    plan: jsonb('plan').$type<FloorPlan>().notNull(),
    by: person('by').notNull(),
    at: at('at').notNull(),
  },
  (table) => [index().on(table.lotId, table.seq)],
);
