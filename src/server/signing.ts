import { and, desc, eq, inArray, isNotNull } from 'drizzle-orm';
import { notYours, type OwnTests, ownTestsOf } from '@/core/signing/rule';
import type { Queryable } from '@/db/client';
import { people, readings, reportReadings, runs } from '@/db/schema';
import { anyOf } from './scope';
import { SETTING, settingNow } from './settings';

/** Whether who made a test may sign the report of it, as the laboratory has decided last. */
export async function ownTestsRule(db: Queryable): Promise<OwnTests> {
  return ownTestsOf(await settingNow(db, SETTING.ownTests));
}

/** Who made tests: completed one of them, or took a reading of it. */
async function makersOf(db: Queryable, runIds: readonly string[]): Promise<ReadonlySet<string>> {
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
function readersOf(db: Queryable, reportId: string) {
  return db
    .select({ by: reportReadings.by, name: people.name, mark: reportReadings.mark, at: reportReadings.at })
    .from(reportReadings)
    .innerJoin(people, eq(people.id, reportReadings.by))
    .where(eq(reportReadings.reportId, reportId))
    .orderBy(desc(reportReadings.at));
}

/**
 * How a draft stands with somebody who would sign it: by the rule, by who made its tests, and by who has read it as it is.
 * @param about.mark of the content as it is now @param about.runIds the tests that it rests on
 */
export async function signingOf(
  db: Queryable,
  about: {
    readonly reportId: string;
    readonly mark: string;
    readonly signer: string;
    readonly runIds: readonly string[];
  },
) {
  const { reportId, mark, signer, runIds } = about;
  const rule = await ownTestsRule(db);
  const makers = await makersOf(db, runIds);
  const readers = await readersOf(db, reportId);
  /** Another reviewer who has read it as it is, the newest. */
  const reader = readers.find((each) => each.by !== signer && each.mark === mark);
  const why = notYours({ rule, made: makers.has(signer), read: reader !== undefined });
  return { rule, makers, readers, reader, why };
}
