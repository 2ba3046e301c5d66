import { and, asc, desc, eq, gt, isNull, type SQL, sql } from 'drizzle-orm';
import { cardState } from '@/core/certification';
import { type PadWear, padWear, usesLeft } from '@/core/ends';
import { isOfSchool, type Limits, type Profile } from '@/core/limits';
import { equipmentDue, setupMeasure } from '@/core/methods';
import { verifiedLoads } from '@/core/press';
import { exact, withThousands } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  accounts,
  audit,
  cards,
  equipment,
  equipmentVerifications,
  invitations,
  jobClients,
  jobs,
  limitChanges,
  people,
  sessions,
  signIns,
} from '@/db/schema';
import { Refused } from '../errors';
import { type PadUses, padUses } from '../pads';
import { limitsNow } from '../run-setup';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';
import { certificateFiles } from './certificates';

export type DueState = 'in date' | 'due soon' | 'overdue' | 'never verified' | 'out of service';

/** Pieces out of service that are listed at once; what is older is found by its number. */
const RETIRED_SHOWN = 150;

/** How many pieces stand in the register out of service. */
export async function retiredGear(db: Queryable, actor: Actor): Promise<number> {
  staffOnly(actor);
  const [row] = await db
    .select({ count: sql<number>`count(*)::int` })
    .from(equipment)
    .where(eq(equipment.inService, false));
  return row?.count ?? 0;
}

/**
 * The equipment with its last verification and when the next is due. `today` is a calendar date.
 * @param retired those out of service instead of those in it, the newest numbers; their wear is not counted any more
 */
export async function gearList(db: Queryable, actor: Actor, today: string, { retired = false } = {}) {
  staffOnly(actor);
  const limits = await limitsNow(db);
  const own = db.select().from(equipment).where(eq(equipment.inService, !retired));
  const items = retired
    ? await own.orderBy(desc(equipment.number)).limit(RETIRED_SHOWN)
    : await own.orderBy(asc(equipment.kind), asc(equipment.number));
  const checks = await db
    .selectDistinctOn([equipmentVerifications.equipmentId])
    .from(equipmentVerifications)
    .orderBy(
      equipmentVerifications.equipmentId,
      desc(equipmentVerifications.verifiedOn),
      desc(equipmentVerifications.at),
    );
  const files = await certificateFiles(
    db,
    checks.map(({ id }) => id),
  );
  const lastOf = new Map(checks.map((check) => [check.equipmentId, check]));
  const worn = await padUses(
    db,
    items.filter(({ pads, inService }) => pads !== null && inService).map(({ number }) => number),
  );
  return items.map((item) => {
    const last = lastOf.get(item.id);
    const due = last
      ? (equipmentDue({ kind: item.kind, verifiedOn: last.verifiedOn }, limits) ?? null)
      : null;
    return {
      ...item,
      pads: item.pads ? { ...item.pads, ...worn.get(item.number)?.worn } : null,
      wear: item.pads ? wearOf(worn.get(item.number), today, limits) : null,
      last: last ?? null,
      file: (last && files.get(last.id)) ?? null,
      loads: last?.loads ? loadsOf(last.loads, limits) : null,
      due,
      // Pads are worn out by use, not by the calendar.
      state:
        item.kind === 'unbonded pads'
          ? item.inService
            ? ('in date' as const)
            : ('out of service' as const)
          : dueState(item.inService, due, today),
    };
  });
}

/** The loads of a verification with the error at each, as they are read. */
function loadsOf({ unit, pairs }: { unit: string; pairs: string[][] }, limits: Limits) {
  const found = verifiedLoads(
    pairs.map(([indicated = 0, applied = 0]) => [exact(indicated), exact(applied)]),
    limits,
  );
  return {
    unit,
    permitted: found.permitted,
    rows: found.loads.map(({ indicated, applied, percent, within }) => ({
      indicated: withThousands(indicated.toFixed()),
      applied: withThousands(applied.toFixed()),
      percent: percent.toFixed(2),
      within,
    })),
  };
}

/** How long a pair of pads lasts and where it breaks specimens, from the tests that name it. */
function wearOf(uses: PadUses | undefined, today: string, limits: Limits): PadWear | null {
  if (!uses) return null;
  const highest = setupMeasure(uses.worn.highest, 'stress', 'psi');
  const day = 86_400_000;
  const tests = uses.tests.map(({ fracture, testedAt }) => ({
    fracture,
    daysAgo: (Date.parse(today) - Date.parse(testedAt ?? '')) / day || 0,
  }));
  return padWear(tests, usesLeft(uses.worn.uses ?? 0, [highest], 'US', limits));
}

function dueState(inService: boolean, due: string | null, today: string): DueState {
  if (!inService) return 'out of service';
  if (due === null) return 'never verified';
  if (today > due) return 'overdue';
  const days = (Date.parse(due) - Date.parse(today)) / 86_400_000;
  return days <= 30 ? 'due soon' : 'in date';
}

/** The limits register in force, each entry with the history of what the laboratory did to it. */
export async function limitRegister(db: Queryable, actor: Actor) {
  staffOnly(actor);
  const limits = await limitsNow(db);
  const history = await db
    .select({ row: limitChanges, byName: people.name })
    .from(limitChanges)
    .innerJoin(people, eq(people.id, limitChanges.by))
    .where(isNull(limitChanges.jobId))
    .orderBy(desc(limitChanges.revision));
  return {
    revision: limits.revision,
    entries: limits.all().map(({ id, entry }) => ({
      id,
      ...entry,
      history: history
        .filter(({ row }) => row.limitId === id)
        .map(({ row, byName }) => ({
          revision: row.revision,
          note: row.note,
          at: row.at,
          byName,
          change: row.change,
        })),
    })),
  };
}

/** What a project's own document sets of the register, newest first of each entry, and the rows it may set. */
export async function projectLimits(
  db: Queryable,
  actor: Actor,
  job: { readonly id: string; readonly profile: Profile },
) {
  staffOnly(actor);
  const limits = await limitsNow(db, job);
  const rows = await db
    .selectDistinctOn([limitChanges.limitId], {
      limitId: limitChanges.limitId,
      note: limitChanges.note,
      at: limitChanges.at,
      byName: people.name,
    })
    .from(limitChanges)
    .innerJoin(people, eq(people.id, limitChanges.by))
    .where(eq(limitChanges.jobId, job.id))
    .orderBy(limitChanges.limitId, desc(limitChanges.revision));
  const school = `${job.profile}/`;
  const all = limits.all();
  const owned = new Set(all.flatMap(({ id }) => (id.startsWith(school) ? [id.slice(school.length)] : [])));
  return {
    set: rows.map((row) => {
      const entry = all.find(({ id }) => id === row.limitId)?.entry;
      return { ...row, title: entry?.title ?? row.limitId, edition: entry?.edition ?? '', entry };
    }),
    /** Every row this school goes by: its own where it has one. */
    entries: all
      .filter(({ id }) => (isOfSchool(id) ? id.startsWith(school) : !owned.has(id)))
      .map(({ id, entry }) => ({ id, entry })),
  };
}

/** The people who may sign in, with the jobs shared with each client. */
export async function peopleList(db: Queryable, actor: Actor) {
  staffOnly(actor);
  const rows = await db
    .select({
      id: people.id,
      name: people.name,
      email: people.email,
      role: people.role,
      title: people.title,
      active: people.active,
    })
    .from(people)
    .orderBy(asc(people.name));
  const shared = await db
    .select({ personId: jobClients.personId, jobId: jobs.id, number: jobs.number })
    .from(jobClients)
    .innerJoin(jobs, eq(jobs.id, jobClients.jobId))
    .where(isNull(jobClients.endedAt))
    .orderBy(asc(jobs.number));
  const open = await db
    .select({ personId: sessions.userId, count: sql<number>`count(*)::int` })
    .from(sessions)
    .where(gt(sessions.expiresAt, sql`now()`))
    .groupBy(sessions.userId);
  const waiting = await db
    .selectDistinctOn([accounts.userId], { personId: accounts.userId, until: invitations.expiresAt })
    .from(accounts)
    .leftJoin(invitations, eq(invitations.personId, accounts.userId))
    .where(isNull(accounts.password))
    .orderBy(accounts.userId, desc(invitations.expiresAt));
  const renamed = await db
    .selectDistinct({ id: audit.rowKey, name: sql<string>`${audit.before} ->> 'name'` })
    .from(audit)
    .where(
      and(
        eq(audit.tableName, 'people'),
        eq(audit.action, 'update'),
        sql`${audit.before} ->> 'name' <> ${audit.after} ->> 'name'`,
      ),
    );
  return rows.map((row) => ({
    ...row,
    names: renamed.filter(({ id, name }) => id === row.id && name !== row.name).map(({ name }) => name),
    jobs: shared
      .filter(({ personId }) => personId === row.id)
      .map(({ jobId, number }) => ({ id: jobId, number })),
    sessions: open.find(({ personId }) => personId === row.id)?.count ?? 0,
    /** Where they have no password yet: until when their link opens, if one was made. */
    invited: waiting.find(({ personId }) => personId === row.id) ?? null,
  }));
}

/** One's own sessions, the newest use first. */
export function ownSessions(db: Queryable, actor: Actor) {
  return db
    .select({
      ...{ id: sessions.id, begun: sessions.createdAt, used: sessions.updatedAt },
      ...{ address: sessions.ipAddress, device: sessions.userAgent },
    })
    .from(sessions)
    .where(and(eq(sessions.userId, actor.id), gt(sessions.expiresAt, sql`now()`)))
    .orderBy(desc(sessions.updatedAt));
}

const SIGN_INS_SHOWN = 60;

/** Who came and went, the newest first: a manager's to read. */
export async function signInList(db: Queryable, actor: Actor) {
  if (actor.role !== 'manager') throw new Refused();
  return signInsOf(db);
}

/** Who signed in, or tried to, with one's own account. */
export async function ownSignIns(db: Queryable, actor: Actor) {
  const [person] = await db.select({ email: people.email }).from(people).where(eq(people.id, actor.id));
  return signInsOf(db, eq(signIns.email, person?.email ?? ''));
}

function signInsOf(db: Queryable, filter?: SQL) {
  return db
    .select({
      id: signIns.id,
      at: signIns.at,
      email: signIns.email,
      name: people.name,
      address: signIns.address,
      outcome: signIns.outcome,
    })
    .from(signIns)
    .leftJoin(people, eq(people.id, signIns.personId))
    .where(filter)
    .orderBy(desc(signIns.id))
    .limit(SIGN_INS_SHOWN);
}

/** Certificates with their state on a day: everybody's for a manager, else a person's own. `today` is a calendar date. */
export async function cardList(db: Queryable, actor: Actor, today: string) {
  staffOnly(actor);
  const rows = await db
    .select({ card: cards, name: people.name })
    .from(cards)
    .innerJoin(people, eq(people.id, cards.personId))
    .where(actor.role === 'manager' ? undefined : eq(cards.personId, actor.id))
    .orderBy(asc(people.name), desc(cards.issuedOn));
  return rows.map(({ card, name }) => ({
    ...card,
    name,
    state: cardState({ ...card, withdrawnOn: card.withdrawnOn ?? undefined }, today),
  }));
}
