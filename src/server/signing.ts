import { and, desc, eq, inArray, isNotNull, ne } from 'drizzle-orm';
import { type OwnTests, ownTestsOf } from '@/core/signing/rule';
import type { Queryable } from '@/db/client';
import { people, readings, reportReadings, runs, settings } from '@/db/schema';
import { anyOf } from './scope';

/** The key of the setting. */
export const OWN_TESTS_KEY = 'own tests';

/** Whether who made a test may sign the report of it, as the laboratory has decided last. */
export async function ownTestsRule(db: Queryable): Promise<OwnTests> {
  const [kept] = await db
    .select({ value: settings.value })
    .from(settings)
    .where(eq(settings.key, OWN_TESTS_KEY))
    .orderBy(desc(settings.seq))
    .limit(1);
  return ownTestsOf(kept?.value);
}

/** What was decided of it, the newest first, and by whom. */
export function ownTestsHistory(db: Queryable) {
  return db
    .select({ id: settings.id, value: settings.value, note: settings.note, at: settings.at, by: people.name })
    .from(settings)
    .innerJoin(people, eq(people.id, settings.by))
    .where(eq(settings.key, OWN_TESTS_KEY))
    .orderBy(desc(settings.seq));
}

/** Who made tests: completed one of them, or took a reading of it. */
export async function makersOf(db: Queryable, runIds: readonly string[]): Promise<ReadonlySet<string>> {
  const read = await db
    .selectDistinct({ by: readings.by })
    .from(readings)
    .where(anyOf(readings.runId, runIds));
  const completed = await db
    .selectDistinct({ by: runs.completedBy })
    .from(runs)
    .where(and(anyOf(runs.id, runIds), isNotNull(runs.completedBy)));
  return new Set([...read, ...completed].flatMap(({ by }) => by ?? []));
}

/** Those of them who are reviewers. */
export async function reviewersOf(db: Queryable, ids: ReadonlySet<string>): Promise<string[]> {
  const found = await db
    .select({ id: people.id })
    .from(people)
    .where(and(inArray(people.id, [...ids]), eq(people.role, 'reviewer')));
  return found.map(({ id }) => id);
}

/** Who has read a report, the newest first. */
export function readersOf(db: Queryable, reportId: string) {
  return db
    .select({ by: reportReadings.by, name: people.name, mark: reportReadings.mark, at: reportReadings.at })
    .from(reportReadings)
    .innerJoin(people, eq(people.id, reportReadings.by))
    .where(eq(reportReadings.reportId, reportId))
    .orderBy(desc(reportReadings.at));
}

/** The reviewer besides a signer who has read a report just as it is. */
export async function otherReader(
  db: Queryable,
  { reportId, mark, signer }: { readonly reportId: string; readonly mark: string; readonly signer: string },
): Promise<{ readonly name: string; readonly at: Date } | undefined> {
  const [reader] = await db
    .select({ name: people.name, at: reportReadings.at })
    .from(reportReadings)
    .innerJoin(people, eq(people.id, reportReadings.by))
    .where(
      and(
        eq(reportReadings.reportId, reportId),
        eq(reportReadings.mark, mark),
        ne(reportReadings.by, signer),
      ),
    )
    .orderBy(desc(reportReadings.at))
    .limit(1);
  return reader;
}
