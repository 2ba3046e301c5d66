import { and, asc, eq, gte, type SQL, sql } from 'drizzle-orm';
import { findMethod } from '@/core/methods/registry';
import { closingShare, stateOf, type WindowState } from '@/core/windows';
import type { Queryable } from '@/db/client';
import { jobs, runs, samples } from '@/db/schema';
import { limitsNow } from '../run-setup';
import { readableJobs } from '../scope';
import type { Actor } from '../use-case';

/** Specimens of one sample that share an age and a window, and are broken together. */
export interface DueSet {
  readonly key: string;
  readonly sampleId: string;
  readonly jobName: string;
  readonly mixCode: string;
  readonly element: string;
  readonly zone: string;
  readonly ageHours: number;
  readonly opensAt: number;
  readonly closesAt: number;
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly testedAt: number | null;
  }[];
}

/** The lists of the day, and what of each is not sent: a number in a headline is never of what fits on a page. */
export interface DayList {
  readonly sets: readonly DueSet[];
  readonly hidden: Readonly<Record<DayPart, { readonly sets: number; readonly specimens: number }>>;
  /** Share of a window from which on it is closing, 0 to 1. */
  readonly closing: number;
}

export const DAY_PARTS = ['open', 'missed', 'coming', 'done'] as const;
export type DayPart = (typeof DAY_PARTS)[number];

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** How far ahead the day looks, and how far back a missed window still stands. */
const AHEAD_MS = 48 * HOUR;
const MISSED_MS = 45 * DAY;
/** Sets of each part that are sent at once; `show` asks for more of one. */
const SENT: Readonly<Record<DayPart, number>> = { open: 40, missed: 10, coming: 15, done: 10 };
const SENT_WHEN_ASKED = 400;

const PART: Readonly<Record<WindowState, DayPart>> = {
  open: 'open',
  closing: 'open',
  missed: 'missed',
  'not open yet': 'coming',
  done: 'done',
};

interface SetRow extends Record<string, unknown> {
  sampleId: string;
  jobName: string;
  mixCode: string;
  element: string;
  zone: string;
  ageHours: number;
  opensAt: string;
  closesAt: string;
  specimens: { id: string; label: string; testedAt: string | null }[];
}

function readable(actor: Actor): SQL {
  return actor.role === 'client'
    ? sql`AND j.id IN (SELECT job_id FROM job_clients WHERE person_id = ${actor.id})`
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
    SELECT s.sample_id AS "sampleId", s.age_hours AS "ageHours", s.opens_at AS "opensAt", s.closes_at AS "closesAt",
           j.name AS "jobName", j.zone, m.code AS "mixCode", p.title AS element,
           json_agg(json_build_object('id', s.id, 'label', s.label, 'testedAt', s.tested_at) ORDER BY s.label) AS specimens
    FROM specimens s
    JOIN samples a ON a.id = s.sample_id
    JOIN lots p ON p.id = a.lot_id
    JOIN specifications m ON m.id = p.specification_id
    JOIN jobs j ON j.id = a.job_id
    WHERE s.closes_at IS NOT NULL AND s.discarded_at IS NULL ${readable(actor)}
      AND ((s.tested_at IS NULL AND s.closes_at >= ${instant(-MISSED_MS)} AND s.opens_at <= ${instant(AHEAD_MS)})
        OR s.tested_at >= ${instant(-DAY)})
    GROUP BY s.sample_id, s.age_hours, s.opens_at, s.closes_at, j.name, j.zone, m.code, p.title
    ORDER BY s.closes_at, min(s.label)`);
  const closing = closingShare(limits);
  const parts: Record<DayPart, DueSet[]> = { open: [], missed: [], coming: [], done: [] };
  for (const row of rows) {
    const set = setOf(row);
    parts[PART[stateOf(set, at, closing, doneAt(set))]].push(set);
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
    sets: cut.flatMap(({ sent }) => sent).toSorted((a, b) => a.closesAt - b.closesAt),
    hidden: Object.fromEntries(
      cut.map(({ part, rest }) => [
        part,
        {
          sets: rest.length,
          specimens: rest.reduce(
            (sum, { specimens }) => sum + specimens.filter(({ testedAt }) => testedAt === null).length,
            0,
          ),
        },
      ]),
    ) as DayList['hidden'],
  };
}

function setOf(row: SetRow): DueSet {
  const { opensAt, closesAt, specimens, ...rest } = row;
  return {
    ...rest,
    key: `${row.sampleId}/${row.ageHours}/${Date.parse(opensAt)}`,
    opensAt: Date.parse(opensAt),
    closesAt: Date.parse(closesAt),
    specimens: specimens.map((each) => ({
      ...each,
      testedAt: each.testedAt ? Date.parse(each.testedAt) : null,
    })),
  };
}

/** When the last of a set was broken; null while one waits. */
export function doneAt({ specimens }: Pick<DueSet, 'specimens'>): number | null {
  const times = specimens.map(({ testedAt }) => testedAt);
  return times.some((time) => time === null) ? null : Math.max(...(times as number[]));
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
