import { asc, desc, eq, isNotNull, lte, sql } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import type { Limits } from '@/core/limits';
import { measureWords } from '@/core/material/measure-words';
import { setupMeasure } from '@/core/methods';
import { exact, plainOf } from '@/core/quantity';
import {
  type DutyReading,
  dutiesOf,
  extremesHeld,
  limeFor,
  readDuty,
  type StorageKind,
} from '@/core/storage';
import type { Queryable } from '@/db/client';
import { people, storageDuties, storages } from '@/db/schema';
import { limitsNow } from '../run-setup';
import { staffOnly } from '../scope';
import { standing, standingIn } from '../standing';
import type { Actor } from '../use-case';

export interface StorageView {
  readonly id: string;
  readonly name: string;
  readonly kind: StorageKind;
  readonly rows: number;
  readonly columns: number;
  readonly volume: string | null;
  /** How many specimens stand in it; of very many not all are listed. */
  readonly count: number;
  /** Lime that saturates its water, in words. */
  readonly lime: string | null;
  readonly duties: readonly (DutyReading & { readonly byName: string | null; readonly note: string })[];
  /** The last reviews of its record, the newest first. */
  readonly reviews: readonly {
    readonly at: Date;
    readonly extremes: string;
    /** What it is held to, where it was outside. */
    readonly outside: string | null;
    readonly byName: string | null;
  }[];
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly position: string | null;
    readonly since: Date;
  }[];
}

/** How the duties of a tank or room stand, each by when it was last done. */
async function dutiesBy(db: Queryable, limits: Limits, now: Date) {
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
  return (storage: Pick<typeof storages.$inferSelect, 'id' | 'kind'>): StorageView['duties'] =>
    dutiesOf(storage.kind).map((duty) => {
      const last = done.find((each) => each.storageId === storage.id && each.duty === duty);
      const extremes =
        last?.lowest && last.highest ? `${measureWords(last.lowest)} to ${measureWords(last.highest)}` : '';
      return {
        ...readDuty(duty, last?.at.getTime() ?? null, now.getTime(), limits, 'US'),
        byName: last?.byName ?? null,
        note: [extremes, last?.note ?? ''].filter(Boolean).join('; '),
      };
    });
}

/** Reviews of a record that are shown of each place. */
const REVIEWS = 12;

/** The last reviews of each place's record of temperatures, held to what the place is held to. */
async function reviewsBy(db: Queryable, limits: Limits) {
  const ranked = db
    .select({
      storageId: storageDuties.storageId,
      at: storageDuties.at,
      lowest: storageDuties.lowest,
      highest: storageDuties.highest,
      byName: people.name,
      place:
        sql<number>`row_number() OVER (PARTITION BY ${storageDuties.storageId} ORDER BY ${storageDuties.at} DESC)`.as(
          'place',
        ),
    })
    .from(storageDuties)
    .leftJoin(people, eq(people.id, storageDuties.by))
    .where(isNotNull(storageDuties.lowest))
    .as('ranked');
  const rows = groupBy(
    await db.select().from(ranked).where(lte(ranked.place, REVIEWS)).orderBy(desc(ranked.at)),
    ({ storageId }) => storageId,
  );
  return ({ id, kind }: Pick<typeof storages.$inferSelect, 'id' | 'kind'>): StorageView['reviews'] =>
    (rows.get(id) ?? []).flatMap(({ at, byName, ...read }) => {
      const [lowest, highest] = [read.lowest, read.highest].map((text) =>
        setupMeasure(text ?? undefined, 'temperature', 'degF'),
      );
      if (!lowest || !highest) return [];
      const { limit, outside } = extremesHeld(kind, lowest, highest, limits);
      return [
        {
          ...{ at, byName, outside: outside ? limit.text : null },
          extremes: `${measureWords(read.lowest ?? '')} to ${measureWords(read.highest ?? '')}`,
        },
      ];
    });
}

/** Specimens without a place of their own that are listed of one tank or room. */
const UNPLACED = 40;

/** The tanks and rooms: what stands in each, and how its duties stand. */
export async function storageList(db: Queryable, actor: Actor, now: Date): Promise<StorageView[]> {
  staffOnly(actor);
  const limits = await limitsNow(db);
  const all = await db.select().from(storages).orderBy(asc(storages.name));
  const duties = await dutiesBy(db, limits, now);
  const reviews = await reviewsBy(db, limits);
  const here = groupBy(await standingIn(db, UNPLACED), ({ storageId }) => storageId);
  return all.map((storage) => {
    const water = setupMeasure(storage.volume ?? undefined, 'volume', 'gal');
    const lime = water ? limeFor(exact(water), 'US', limits) : null;
    const own = here.get(storage.id) ?? [];
    return {
      ...storage,
      count: own[0]?.count ?? 0,
      lime: lime ? plainOf(lime.mass.toDecimalPlaces(0), lime.unit) : null,
      duties: duties(storage),
      reviews: reviews(storage),
      specimens: own.map(({ specimenId, label, position, since }) => ({
        id: specimenId,
        label,
        position,
        since,
      })),
    };
  });
}

/** Where a specimen stands, what that place owes, and the places it could go to. */
export async function specimenHome(db: Queryable, actor: Actor, specimenId: string, now: Date) {
  staffOnly(actor);
  const all = await db
    .select({ id: storages.id, name: storages.name, kind: storages.kind })
    .from(storages)
    .orderBy(asc(storages.name));
  const [here] = await standing(db, { specimenId });
  const home = all.find(({ id }) => id === here?.storageId);
  const duties = home ? (await dutiesBy(db, await limitsNow(db), now))(home) : [];
  return {
    storages: all.map(({ id, name }) => ({ id, name })),
    home: home ? { name: home.name, position: here?.position ?? null } : null,
    owed: duties.filter(({ state }) => state === 'overdue').map(({ duty }) => duty),
  };
}
