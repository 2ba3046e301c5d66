import { asc, desc, eq } from 'drizzle-orm';
import { Limits } from '@/core/limits';
import { setupMeasure } from '@/core/methods';
import { exact, plainOf } from '@/core/quantity';
import { type DutyReading, dutiesOf, limeFor, readDuty } from '@/core/storage';
import type { Queryable } from '@/db/client';
import { people, storageDuties, storages } from '@/db/schema';
import { measureWords } from '../reports/content';
import { limitChangesAt } from '../run-setup';
import { staffOnly } from '../scope';
import { standing } from '../standing';
import type { Actor } from '../use-case';

export interface StorageView {
  readonly id: string;
  readonly name: string;
  readonly kind: 'tank' | 'room';
  readonly rows: number;
  readonly columns: number;
  readonly volume: string | null;
  /** Lime that saturates its water, in words. */
  readonly lime: string | null;
  readonly duties: readonly (DutyReading & { readonly byName: string | null; readonly note: string })[];
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly position: string | null;
    readonly since: Date;
  }[];
}

/** The tanks and rooms: what stands in each, and how its duties stand. */
export async function storageList(db: Queryable, actor: Actor, now: Date): Promise<StorageView[]> {
  staffOnly(actor);
  const { changes, revision } = await limitChangesAt(db);
  const limits = new Limits(changes, revision);
  const all = await db.select().from(storages).orderBy(asc(storages.name));
  const done = await db
    .selectDistinctOn([storageDuties.storageId, storageDuties.duty], {
      storageId: storageDuties.storageId,
      duty: storageDuties.duty,
      at: storageDuties.at,
      note: storageDuties.note,
      lowest: storageDuties.lowest,
      highest: storageDuties.highest,
      byName: people.name,
    })
    .from(storageDuties)
    .leftJoin(people, eq(people.id, storageDuties.by))
    .orderBy(storageDuties.storageId, storageDuties.duty, desc(storageDuties.at));
  const here = all.length > 0 ? await standing(db) : [];
  return all.map((storage) => {
    const water = setupMeasure(storage.volume ?? undefined, 'volume', 'gal');
    const lime = water ? limeFor(exact(water), 'US', limits) : null;
    return {
      ...storage,
      lime: lime ? plainOf(lime.mass.toDecimalPlaces(0), lime.unit) : null,
      duties: dutiesOf(storage.kind).map((duty) => {
        const last = done.find((each) => each.storageId === storage.id && each.duty === duty);
        const extremes =
          last?.lowest && last.highest ? `${measureWords(last.lowest)} to ${measureWords(last.highest)}` : '';
        return {
          ...readDuty(duty, last?.at.getTime() ?? null, now.getTime(), limits, 'US'),
          byName: last?.byName ?? null,
          note: [extremes, last?.note ?? ''].filter(Boolean).join('; '),
        };
      }),
      specimens: here
        .filter(({ storageId }) => storageId === storage.id)
        .map(({ specimenId, label, position, since }) => ({ id: specimenId, label, position, since }))
        .toSorted((a, b) => a.label.localeCompare(b.label)),
    };
  });
}

/** Where a specimen stands, what that place owes, and the places it could go to. */
export async function specimenHome(db: Queryable, actor: Actor, specimenId: string, now: Date) {
  const storages = await storageList(db, actor, now);
  const home = storages.find((storage) => storage.specimens.some(({ id }) => id === specimenId));
  return {
    storages: storages.map(({ id, name }) => ({ id, name })),
    home: home
      ? { name: home.name, position: home.specimens.find(({ id }) => id === specimenId)?.position ?? null }
      : null,
    owed: home ? home.duties.filter(({ state }) => state === 'overdue').map(({ duty }) => duty) : [],
  };
}
