import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { positionIn, positionName } from '@/core/storage';
import type { Queryable } from '@/db/client';
import { specimenEvents, specimens, storages } from '@/db/schema';
import { NotFound } from './errors';
import { refuseFields, type Transaction } from './use-case';

/** Events after which a specimen no longer stands where it stood. */
const GONE = ['tested', 'lost'] as const;

/**
 * Where specimens stand now: the newest event that gave each a place, unless it has left since.
 * @param which those in one tank or room, or one specimen; absent: all
 */
export async function standing(
  db: Queryable,
  which: { readonly storageId?: string; readonly specimenId?: string } = {},
) {
  const { storageId, specimenId } = which;
  const newest = db
    .selectDistinctOn([specimenEvents.specimenId], {
      specimenId: specimenEvents.specimenId,
      label: specimens.label,
      kind: specimenEvents.kind,
      storageId: specimenEvents.storageId,
      position: specimenEvents.position,
      at: specimenEvents.at,
    })
    .from(specimenEvents)
    // Those that are broken or thrown away are by far the most, and stand nowhere.
    .innerJoin(
      specimens,
      and(
        eq(specimens.id, specimenEvents.specimenId),
        isNull(specimens.testedAt),
        isNull(specimens.discardedAt),
      ),
    )
    .where(
      and(
        inArray(specimenEvents.kind, [
          'final cure',
          'initial cure',
          'collected',
          'received',
          'quarantined',
          ...GONE,
        ]),
        specimenId ? eq(specimenEvents.specimenId, specimenId) : undefined,
      ),
    )
    .orderBy(specimenEvents.specimenId, desc(specimenEvents.at), desc(specimenEvents.savedAt))
    .as('newest');
  return db
    .select({
      specimenId: newest.specimenId,
      label: newest.label,
      storageId: newest.storageId,
      position: newest.position,
      since: newest.at,
    })
    .from(newest)
    .where(and(eq(newest.kind, 'final cure'), storageId ? eq(newest.storageId, storageId) : undefined));
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
