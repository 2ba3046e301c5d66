import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { pressFeeds } from '@/db/schema';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';

/** The record that is open for a run at a machine; null when there is none. */
export async function openFeed(db: Queryable, actor: Actor, runId: string) {
  staffOnly(actor);
  const [feed] = await db
    .select({ feedId: pressFeeds.id, fromSeq: pressFeeds.fromSeq })
    .from(pressFeeds)
    .where(and(eq(pressFeeds.runId, runId), isNull(pressFeeds.closedAt)))
    .orderBy(desc(pressFeeds.openedAt))
    .limit(1);
  return feed ?? null;
}
