import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { positionIn, positionName } from '@/core/storage';
import type { Queryable } from '@/db/client';
import { specimenEvents, specimens, storages } from '@/db/schema';
import { NotFound } from './errors';
import { refuseFields, type Transaction } from './use-case';

/** Events after which a specimen no longer stands where it stood. */
const GONE = ['tested', 'discarded', 'lost'] as const;

/** Where each of these specimens stands now: the newest event that gave it a place, unless it has left since. */
export async function standing(db: Queryable, storageId?: string) {
  const newest = db
    .selectDistinctOn([specimenEvents.specimenId], {
      specimenId: specimenEvents.specimenId,
      kind: specimenEvents.kind,
      storageId: specimenEvents.storageId,
      position: specimenEvents.position,
      at: specimenEvents.at,
    })
    .from(specimenEvents)
    // Those that are broken are by far the most, and stand nowhere.
    .innerJoin(specimens, and(eq(specimens.id, specimenEvents.specimenId), isNull(specimens.testedAt)))
    .where(
      inArray(specimenEvents.kind, [
        'final cure',
        'initial cure',
        'collected',
        'received',
        'quarantined',
        ...GONE,
      ]),
    )
    .orderBy(specimenEvents.specimenId, desc(specimenEvents.at), desc(specimenEvents.savedAt))
    .as('newest');
  return db
    .select({
      specimenId: newest.specimenId,
      label: specimens.label,
      castAt: specimens.castAt,
      ageHours: specimens.ageHours,
      storageId: newest.storageId,
      position: newest.position,
      since: newest.at,
    })
    .from(newest)
    .innerJoin(specimens, eq(specimens.id, newest.specimenId))
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
  const there = (await standing(tx, storageId)).find(
    (each) => each.position === at && each.specimenId !== specimenId,
  );
  if (there) return refuseFields({ position: `${there.label} stands there. Look before you move either.` });
  return { storageId, position: at, place: `${storage.name}, ${at}` };
}
