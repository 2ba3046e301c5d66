import { and, count, eq, like, ne, sql } from 'drizzle-orm';
import { type FirstStep, firstSteps } from '@/core/laboratory/first-steps';
import type { Queryable } from '@/db/client';
import { jobs, people, runs, settings, specifications } from '@/db/schema';
import { lastBackup } from '../health';
import { isLaboratorys } from '../installation';
import { limitsNow } from '../run-setup';
import { SETTING } from '../settings';
import type { Actor } from '../use-case';
import { gearList } from './gear';

/** A first step, and whether it was laid aside as not wanted here. */
export type OpenStep = FirstStep & { readonly aside: boolean };

/**
 * What a laboratory that begins has still to do, for its managers; null for everybody else, in the demo, and once all
 * of it is done or laid aside.
 * @param today a calendar date @param whole also when all is done
 */
export async function openSteps(
  db: Queryable,
  actor: Actor,
  today: string,
  { whole = false } = {},
): Promise<readonly OpenStep[] | null> {
  if (actor.role !== 'manager' || !(await isLaboratorys(db))) return null;
  const asideNow = new Map<string, boolean>();
  const said = await db
    .select({ key: settings.key, value: settings.value })
    .from(settings)
    .where(like(settings.key, `${SETTING.step}%`))
    .orderBy(settings.seq);
  for (const { key, value } of said) asideNow.set(key.slice(SETTING.step.length), value === 'aside');
  const roles = await db
    .select({ role: people.role, count: count() })
    .from(people)
    .where(and(eq(people.active, true), ne(people.id, actor.id)))
    .groupBy(people.role);
  const of = (...wanted: string[]): number =>
    roles.reduce((sum, row) => sum + (wanted.includes(row.role) ? row.count : 0), 0);
  const [counted] = await db
    .select({
      jobs: sql<number>`(select count(*)::int from ${jobs})`,
      specifications: sql<number>`(select count(*)::int from ${specifications})`,
      tests: sql<number>`(select count(*)::int from (select 1 from ${runs} limit 1000) r)`,
    })
    .from(sql`(values (1)) as one`);
  const gear = await gearList(db, actor, today);
  // Those of our own choice are in nobody’s standard.
  const rows = (await limitsNow(db)).all().filter(({ entry }) => entry.status !== 'our choice');
  const steps = firstSteps({
    people: { reviewer: of('reviewer'), technician: of('field', 'laboratory') },
    gear: {
      all: gear.length,
      unverified: gear.filter(({ state }) => state === 'overdue' || state === 'never verified').length,
    },
    limits: {
      all: rows.length,
      looked: rows.filter(({ entry }) => entry.status !== 'recalled').length,
    },
    ...{ jobs: counted?.jobs ?? 0, specifications: counted?.specifications ?? 0, tests: counted?.tests ?? 0 },
    backup: lastBackup()?.slice(0, 10) ?? null,
  }).map((step) => ({ ...step, aside: asideNow.get(step.id) ?? false }));
  return whole || steps.some(({ done, aside }) => !done && !aside) ? steps : null;
}
