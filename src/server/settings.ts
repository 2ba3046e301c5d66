import { desc, eq } from 'drizzle-orm';
import { type LaboratoryDetails, laboratoryOf } from '@/core/laboratory/details';
import type { Queryable } from '@/db/client';
import { people, settings } from '@/db/schema';

/** What a laboratory decides for itself, by the key that it is kept under. */
export const SETTING = {
  ownTests: 'own tests',
  laboratory: 'laboratory',
  installation: 'installation',
  /** Of each first step, by its id behind it. */
  step: 'first step ',
} as const;

/** What was decided last; undefined where nobody has. */
export async function settingNow(db: Queryable, key: string): Promise<string | undefined> {
  const [kept] = await db
    .select({ value: settings.value })
    .from(settings)
    .where(eq(settings.key, key))
    .orderBy(desc(settings.seq))
    .limit(1);
  return kept?.value;
}

/** What was decided, the newest first, by whom and why. */
export function settingHistory(db: Queryable, key: string) {
  return db
    .select({ id: settings.id, value: settings.value, note: settings.note, at: settings.at, by: people.name })
    .from(settings)
    .innerJoin(people, eq(people.id, settings.by))
    .where(eq(settings.key, key))
    .orderBy(desc(settings.seq));
}

/** The laboratory as it says of itself now. */
export async function laboratoryNow(db: Queryable): Promise<LaboratoryDetails> {
  return laboratoryOf(await settingNow(db, SETTING.laboratory));
}
