import { eq, sql } from 'drizzle-orm';
import { positionIn, positionName } from '@/core/storage';
import type { Queryable } from '@/db/client';
import { storages } from '@/db/schema';
import { NotFound } from './errors';
import { refuseFields, type Transaction } from './use-case';

interface Standing extends Record<string, unknown> {
  readonly specimenId: string;
  readonly label: string;
  readonly storageId: string;
  readonly position: string | null;
  readonly since: string;
}

/**
 * Where specimens stand now: the newest event that gave each a place, unless it has left since. Those that are broken
 * or thrown away are by far the most, and stand nowhere.
 * @param which those in one tank or room, or one specimen; absent: all
 */
export async function standing(db: Queryable, which: Which = {}) {
  const { rows } = await db.execute<Standing>(standingNow(which));
  return rows.map((row) => ({ ...row, since: new Date(row.since) }));
}

/**
 * What stands in each tank and room: one for each place, the first of those that have none, and how many there are.
 * @param unplaced how many without a place are wanted of each tank or room
 */
export async function standingIn(db: Queryable, unplaced: number) {
  const { rows } = await db.execute<Standing & { readonly count: number }>(sql`
    SELECT * FROM (
      SELECT h.*, count(*) OVER (PARTITION BY "storageId")::int AS count,
        row_number() OVER (PARTITION BY "storageId", position ORDER BY label) AS turn
      FROM (${standingNow({})}) h
    ) x
    WHERE turn <= CASE WHEN position IS NULL THEN ${unplaced}::int ELSE 1 END
    ORDER BY label`);
  return rows.map((row) => ({ ...row, since: new Date(row.since) }));
}

interface Which {
  readonly storageId?: string;
  readonly specimenId?: string;
}

function standingNow({ storageId, specimenId }: Which) {
  return sql`
    SELECT s.id AS "specimenId", s.label, e.storage_id AS "storageId", e.position, e.at AS since
    FROM specimens s
    CROSS JOIN LATERAL (
      SELECT kind, storage_id, position, at FROM specimen_events x
      WHERE x.specimen_id = s.id
        AND x.kind IN ('final cure', 'initial cure', 'collected', 'received', 'quarantined', 'tested', 'lost')
      ORDER BY x.at DESC, x.saved_at DESC LIMIT 1
    ) e
    WHERE s.tested_at IS NULL AND s.discarded_at IS NULL AND e.kind = 'final cure'
      ${specimenId ? sql`AND s.id = ${specimenId}` : sql``}
      ${storageId ? sql`AND e.storage_id = ${storageId}` : sql``}`;
}

/** The place a specimen goes to, checked: it is there, and nobody stands in it. */
export async function placeIn(
  tx: Transaction,
  storageId: string,
  position: string | undefined,
  specimenId: string,
): Promise<{ storageId: string; position: string | null; place: string }> {
  const [storage] = await tx.select().from(storages).where(eq(storages.id, storageId)).for('update');
  if (!storage) throw new NotFound('This tank or room');
  if (!position?.trim()) return { storageId, position: null, place: storage.name };
  const at = positionIn(position, storage);
  if (!at) {
    const last = positionName(storage.rows - 1, storage.columns - 1);
    return refuseFields({ position: `${storage.name} has the places A1 to ${last}.` });
  }
  const there = (await standing(tx, { storageId })).find(
    (each) => each.position === at && each.specimenId !== specimenId,
  );
  if (there) return refuseFields({ position: `${there.label} stands there. Look before you move either.` });
  return { storageId, position: at, place: `${storage.name}, ${at}` };
}
