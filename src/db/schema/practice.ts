import { boolean, index, integer, jsonb, pgSchema, text, uuid } from 'drizzle-orm/pg-core';
import type { DrillScore } from '@/core/drills';
import { at, person } from './columns';

/** Training stands in a schema of its own: no report, list or export reads it. */
export const practice = pgSchema('practice');

/** One drill carried to its end, and how it was judged. */
export const practiceAttempts = practice.table(
  'attempts',
  {
    id: uuid('id').primaryKey(),
    personId: person('person_id').notNull(),
    drill: text('drill').notNull(),
    seed: integer('seed').notNull(),
    timed: boolean('timed').notNull(),
    startedAt: at('started_at').notNull(),
    finishedAt: at('finished_at').notNull(),
    passed: boolean('passed').notNull(),
    score: jsonb('score').$type<DrillScore>().notNull(),
  },
  (table) => [index().on(table.personId, table.finishedAt)],
);
