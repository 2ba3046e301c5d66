import { and, asc, eq, gte, inArray, isNull, type SQL, sql } from 'drizzle-orm';
import { sampleLabel } from '@/core/identity/labels';
import { formText } from '@/core/materials/forms';
import { MATERIALS } from '@/core/materials/registry';
import { findMethod } from '@/core/methods/registry';
import { type DaySet, endOf, type SiteWait } from '@/core/waits/day';
import type { Lane } from '@/core/waits/wait';
import { closingShare, stateOf, type WindowState } from '@/core/windows';
import type { Queryable } from '@/db/client';
import { jobs, lots, runs, samples, specifications, waits } from '@/db/schema';
import { limitsNow } from '../run-setup';
import { readableJobs, staffOnly } from '../scope';
import type { Actor } from '../use-case';

/** The lists of the day, and what of each is not sent: a number in a headline is never of what fits on a page. */
export interface DayList {
  readonly sets: readonly DaySet[];
  readonly hidden: Readonly<Record<DayPart, { readonly sets: number; readonly specimens: number }>>;
  /** Share of a window from which on it is closing, 0 to 1. */
  readonly closing: number;
}

export const DAY_PARTS = ['open', 'missed', 'coming', 'done'] as const;
export type DayPart = (typeof DAY_PARTS)[number];

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** How far ahead the day looks, and how far back a missed window still stands: on site it is soon nobody's any more. */
const AHEAD_MS = 48 * HOUR;
const MISSED_MS: Readonly<Record<Lane, number>> = {
  field: 7 * DAY,
  // A fall of the needle that was missed is nobody's the day after.
  paste: DAY,
  ends: 7 * DAY,
  press: 45 * DAY,
  tank: 45 * DAY,
  slab: 45 * DAY,
};
const LONGEST_MS = Math.max(...Object.values(MISSED_MS));
/** Sets of each part that are sent at once; `show` asks for more of one. */
const SENT: Readonly<Record<DayPart, number>> = { open: 24, missed: 6, coming: 10, done: 6 };
const SENT_WHEN_ASKED = 400;

const PART: Readonly<Record<WindowState, DayPart>> = {
  open: 'open',
  closing: 'open',
  missed: 'missed',
  'not open yet': 'coming',
  done: 'done',
};

interface SetRow extends Record<string, unknown> {
  lane: Lane;
  what: string;
  ageHours: number | null;
  form: string | null;
  cure: string | null;
  owner: string;
  lotId: string | null;
  sampleId: string | null;
  runId: string | null;
  storage: string | null;
  lot: string | null;
  code: string | null;
  zone: string | null;
  opensAt: string;
  bestAt: string | null;
  closesAt: string | null;
  doneAt: string | null;
  provisional: string | null;
  material: string | null;
  /** A batch made them ready for the press: they are broken by tests of their own. */
  madeReady: boolean;
  specimens: { id: string; label: string; doneAt: string | null }[] | null;
}

/** What a batch made ready for the test of each of its specimens: in the press, or on the floor. */
const MADE_READY = sql`(w.lane IN ('press', 'slab') AND w.key LIKE '%/%')`;

/** When it was done: what was made ready, or waits in the press, when the specimen was broken. */
const DONE = sql`coalesce(w.done_at, CASE WHEN w.lane = 'press' OR ${MADE_READY} THEN s.tested_at END)`;

/** What waits for its age is broken with its like only: beams apart from cylinders, field-cured ones apart from the others. */
const OWN_FORM = sql`CASE WHEN w.key = 'age' THEN s.form END`;
const OWN_CURE = sql`CASE WHEN w.key = 'age' THEN s.about ->> 'cure' END`;

function readable(actor: Actor): SQL {
  return actor.role === 'client'
    ? // What is done on site and in the laboratory is not theirs to follow: they see when their specimens are broken.
      sql`AND w.lane = 'press' AND w.run_id IS NULL AND j.id IN (SELECT job_id FROM job_clients WHERE person_id = ${actor.id} AND ended_at IS NULL)`
    : sql``;
}

/**
 * Windows around now as sets: open ones, missed ones not yet broken, those that open within 48 hours, and what was done
 * in the last day. Counted over all, sent as far as a page can be read.
 * @param show the part that is wanted whole
 */
export async function dayList(db: Queryable, actor: Actor, now: Date, show?: DayPart): Promise<DayList> {
  const limits = await limitsNow(db);
  const at = now.getTime();
  const instant = (ms: number): SQL => sql`${new Date(at + ms).toISOString()}::timestamptz`;
  const { rows } = await db.execute<SetRow>(sql`
    SELECT w.lane, w.what, w.age_hours AS "ageHours", ${OWN_FORM} AS form, ${OWN_CURE} AS cure, w.sample_id AS "sampleId",
           min(w.opens_at) AS "opensAt", min(w.best_at) AS "bestAt", max(w.closes_at) AS "closesAt", p.id AS "lotId", p.title AS lot, m.code, m.material, j.zone,
           t.name AS storage, min(w.run_id::text) AS "runId", min(w.owner::text) AS owner,
           min(w.provisional) AS provisional,
           CASE WHEN bool_or(${DONE} IS NULL) THEN NULL ELSE max(${DONE}) END AS "doneAt",
           bool_or(${MADE_READY}) AS "madeReady",
           json_agg(json_build_object('id', s.id, 'label', s.label, 'doneAt', ${DONE}) ORDER BY s.label)
             FILTER (WHERE s.id IS NOT NULL) AS specimens
    FROM waits w
    LEFT JOIN specimens s ON s.id = w.specimen_id
    LEFT JOIN samples a ON a.id = w.sample_id
    LEFT JOIN lots p ON p.id = coalesce(w.lot_id, a.lot_id)
    LEFT JOIN specifications m ON m.id = p.specification_id
    LEFT JOIN jobs j ON j.id = p.job_id
    LEFT JOIN storages t ON t.id = w.storage_id
    WHERE s.discarded_at IS NULL AND w.opens_at <= ${instant(AHEAD_MS)} ${readable(actor)}
      AND (w.done_at >= ${instant(-DAY)}
        OR (w.done_at IS NULL AND (w.closes_at >= ${instant(-LONGEST_MS)}
          OR (w.closes_at IS NULL AND w.opens_at >= ${instant(-LONGEST_MS)}))))
      AND (${DONE} IS NULL OR ${DONE} >= ${instant(-DAY)})
    GROUP BY w.lane, w.what, w.age_hours, w.sample_id, w.storage_id, p.id, p.title, m.code, m.material, j.zone, t.name,
             -- Of one run together; of specimens only those with the same window.
             w.run_id, ${OWN_FORM}, ${OWN_CURE}, CASE WHEN w.run_id IS NULL THEN w.opens_at END, CASE WHEN w.run_id IS NULL THEN w.closes_at END`);
  const closing = closingShare(limits);
  const parts: Record<DayPart, DaySet[]> = { open: [], missed: [], coming: [], done: [] };
  for (const set of rows.map(setOf).toSorted(byEnd)) {
    if (set.doneAt === null && set.closesAt !== null && set.closesAt < at - MISSED_MS[set.lane]) continue;
    parts[PART[stateOf(set, at, closing, set.doneAt)]].push(set);
  }
  // The newest of what is over stands first in what is sent; a page lists them by time all the same.
  parts.done.reverse();
  parts.missed.reverse();
  const cut = DAY_PARTS.map((part) => {
    const most = part === show ? SENT_WHEN_ASKED : SENT[part];
    return { part, sent: parts[part].slice(0, most), rest: parts[part].slice(most) };
  });
  return {
    closing,
    sets: cut.flatMap(({ sent }) => sent).toSorted(byEnd),
    hidden: Object.fromEntries(
      cut.map(({ part, rest }) => [
        part,
        {
          sets: rest.length,
          specimens: rest.reduce(
            (sum, { specimens }) => sum + specimens.filter(({ doneAt }) => doneAt === null).length,
            0,
          ),
        },
      ]),
    ) as DayList['hidden'],
  };
}

/** What ends first stands first, of those that end together by their labels; what stays open until it is done, last. */
function byEnd(a: DaySet, b: DaySet): number {
  return endOf(a) - endOf(b) || nameOf(a).localeCompare(nameOf(b));
}

function nameOf({ specimens, what }: DaySet): string {
  return specimens[0]?.label ?? what;
}

/** True for a material whose samples have a day in the field, with a sheet for the phone. */
function hasFieldDay(material: string | null): boolean {
  return material !== null && IN_THE_FIELD.includes(material);
}

/** Where one goes on with it. */
function hrefOf({ lane, storage, sampleId, runId, lotId, specimens, madeReady, material }: SetRow): string {
  if (storage !== null) return '/gear/storage';
  if (specimens === null && sampleId && lane === 'field' && hasFieldDay(material))
    return `/field/${sampleId}`;
  if (runId && !madeReady) return `/runs/${runId}`;
  return sampleId ? `/samples/${sampleId}` : `/lots/${lotId}`;
}

function setOf(row: SetRow): DaySet {
  const at = (text: string | null): number | null => (text === null ? null : Date.parse(text));
  return {
    key: [row.what, row.sampleId ?? row.owner, row.opensAt, row.form, row.cure].join('/'),
    lane: row.lane,
    what: row.what,
    ageHours: row.ageHours,
    about: row.form ? `${formText(row.form)}${row.cure === 'field' ? ', cured in the field' : ''}` : '',
    place: row.lot ?? row.storage ?? '',
    detail: row.code ?? '',
    href: hrefOf(row),
    zone: row.zone,
    opensAt: Date.parse(row.opensAt),
    bestAt: at(row.bestAt),
    closesAt: at(row.closesAt),
    doneAt: at(row.doneAt),
    provisional: row.provisional,
    specimens: (row.specimens ?? []).map((each) => ({ ...each, doneAt: at(each.doneAt) })),
  };
}

const ON_SITE = 16;
/** The materials whose samples have a sheet in the field. */
const IN_THE_FIELD = MATERIALS.filter(({ comesInLoads }) => comesInLoads).map(({ id }) => id);

/**
 * What samples wait for on site: boxes to collect, moulds to take off.
 * @returns the first of them by their end, and how many more there are
 */
export async function siteWaits(
  db: Queryable,
  actor: Actor,
  now: Date,
): Promise<{ readonly waits: readonly SiteWait[]; readonly more: number }> {
  staffOnly(actor);
  const rows = await db
    .select({
      owner: waits.owner,
      key: waits.key,
      sampleId: samples.id,
      number: samples.number,
      job: jobs.number,
      lot: lots.title,
      zone: jobs.zone,
      what: waits.what,
      opensAt: waits.opensAt,
      closesAt: waits.closesAt,
      provisional: waits.provisional,
      all: sql<number>`count(*) OVER ()::int`,
    })
    .from(waits)
    .innerJoin(samples, eq(samples.id, waits.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(
      and(
        eq(waits.lane, 'field' satisfies Lane),
        inArray(specifications.material, IN_THE_FIELD),
        isNull(waits.doneAt),
        gte(waits.closesAt, new Date(now.getTime() - MISSED_MS.field)),
      ),
    )
    .orderBy(asc(waits.closesAt), asc(samples.number))
    .limit(ON_SITE);
  return {
    waits: rows.map(({ owner, key, number, job, opensAt, closesAt, all: _, ...row }) => ({
      ...row,
      key: `${owner} ${key}`,
      label: sampleLabel(job, number),
      opensAt: opensAt.getTime(),
      closesAt: closesAt?.getTime() ?? opensAt.getTime(),
    })),
    more: (rows[0]?.all ?? 0) - rows.length,
  };
}

/** Samples of the last day with tests still open: what the field owes now. Counted by sample, named while they are few. */
export async function openFreshTests(db: Queryable, actor: Actor, now: Date) {
  const rows = await db
    .select({
      sampleId: samples.id,
      number: samples.number,
      job: jobs.number,
      sampledAt: samples.sampledAt,
      methods: sql<string[]>`array_agg(${runs.method} ORDER BY ${runs.method})`,
    })
    .from(samples)
    .innerJoin(runs, and(eq(runs.sampleId, samples.id), eq(runs.state, 'open')))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(and(readableJobs(db, actor), gte(samples.sampledAt, new Date(now.getTime() - DAY))))
    .groupBy(samples.id, samples.number, jobs.number, samples.sampledAt)
    .orderBy(asc(samples.sampledAt));
  return rows.map(({ methods, ...row }) => ({
    ...row,
    open: methods.map((id) => findMethod(id)?.title.toLowerCase() ?? id),
  }));
}
