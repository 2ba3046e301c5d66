import { and, asc, desc, eq, gte, lt, lte, type SQL, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { sampleLabel } from '@/core/identity/labels';
import type { TrailEntry } from '@/core/trail/entry';
import { type TrailSaid, trailChanges, trailWord } from '@/core/trail/words';
import type { Queryable } from '@/db/client';
import { audit, auditChain, jobs, people, runs, samples, specimens } from '@/db/schema';
import { dayBound } from '../day-bound';
import { Refused } from '../errors';
import { anyOf } from '../scope';
import type { Actor } from '../use-case';

/** Entries on a page, and in a file at the most. */
const SHOWN = 50;
const EXPORTED = 10_000;

/** What of the trail is asked for; everything that is left open is everything. */
export interface TrailAsked {
  /** Who did it, by its id. */
  readonly by?: string | undefined;
  /** What kind of row, by its table. */
  readonly kind?: string | undefined;
  /** Label of a specimen or a sample, number of a report or of equipment. */
  readonly of?: string | undefined;
  /** Days, as 2031-03-01, in the zone. */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  /** Only entries before this one. */
  readonly before?: string | undefined;
}

/** Whom the trail is shown: who answers for the records. */
function readersOnly({ role }: Actor): void {
  if (role !== 'manager' && role !== 'reviewer') throw new Refused();
}

/**
 * A page of the audit trail, the newest first.
 * @throws Refused for others than managers and reviewers, Invalid for a day that is none
 */
export async function trailPage(
  db: Queryable,
  actor: Actor,
  asked: TrailAsked,
  zone: string,
): Promise<{
  readonly entries: readonly TrailEntry[];
  readonly next: string | null;
  readonly known: boolean;
}> {
  readersOnly(actor);
  const { filter, known } = await filterOf(db, asked, zone);
  if (!known) return { entries: [], next: null, known };
  const entries = await entriesOf(db, filter, SHOWN + 1, zone);
  const shown = entries.slice(0, SHOWN);
  return { entries: shown, next: entries.length > SHOWN ? String(shown.at(-1)?.id) : null, known };
}

/** Every entry that is asked for, as it leaves as a file; the newest ten thousand. */
export async function trailWhole(
  db: Queryable,
  actor: Actor,
  asked: TrailAsked,
  zone: string,
): Promise<readonly TrailEntry[]> {
  readersOnly(actor);
  const { filter, known } = await filterOf(db, asked, zone);
  return known ? entriesOf(db, filter, EXPORTED, zone) : [];
}

/** Who is in the trail, and which kinds of rows, for the choices of the page. */
export async function trailChoices(db: Queryable, actor: Actor) {
  readersOnly(actor);
  return namesOf(db);
}

/** What is asked for as a condition; `known` false where nothing is called as it is asked. */
async function filterOf(
  db: Queryable,
  { by, kind, of, from, to, before }: TrailAsked,
  zone: string,
): Promise<{ readonly filter: SQL | undefined; readonly known: boolean }> {
  const keys = of?.trim() ? await keysOf(db, of.trim()) : undefined;
  return {
    known: keys === undefined || keys.length > 0,
    filter: and(
      by ? eq(audit.actor, by) : undefined,
      kind ? eq(audit.tableName, kind) : undefined,
      from ? gte(audit.at, dayBound(from, zone, 'from')) : undefined,
      to ? lte(audit.at, dayBound(to, zone, 'to')) : undefined,
      before && /^\d{1,15}$/u.test(before) ? lt(audit.id, Number(before)) : undefined,
      keys
        ? sql`(${audit.tableName}, ${audit.rowKey}) IN (SELECT t, k FROM jsonb_to_recordset(${JSON.stringify(keys)}::jsonb) AS x(t text, k text))`
        : undefined,
    ),
  };
}

/** The rows that a specimen, a sample, a report or equipment is told in, by what is written on it. */
async function keysOf(db: Queryable, label: string): Promise<{ t: string; k: string }[]> {
  const called = label.toUpperCase();
  const [, job = '', digits = ''] = /^(.+)-(\d{1,6})$/u.exec(called) ?? [];
  const number = Number(digits || -1);
  const { rows } = await db.execute<{ t: string; k: string }>(sql`
    WITH s AS (SELECT s.id FROM samples s JOIN jobs j ON j.id = s.job_id
               WHERE j.number = ${job} AND s.number = ${number}),
    p AS (SELECT id FROM specimens WHERE label = ${called}
          UNION SELECT id FROM specimens WHERE sample_id IN (SELECT id FROM s)),
    r AS (SELECT id FROM runs WHERE specimen_id IN (SELECT id FROM p) OR sample_id IN (SELECT id FROM s)),
    o AS (SELECT id FROM reports WHERE number = ${called}),
    e AS (SELECT id FROM equipment WHERE number = ${called})
    SELECT 'samples' AS t, id::text AS k FROM s
    UNION ALL SELECT 'specimens', id::text FROM p
    UNION ALL SELECT 'specimen_events', id::text FROM specimen_events WHERE specimen_id IN (SELECT id FROM p)
    UNION ALL SELECT 'runs', id::text FROM r
    UNION ALL SELECT 'readings', id::text FROM readings WHERE run_id IN (SELECT id FROM r)
    UNION ALL SELECT 'outcomes', id::text FROM outcomes WHERE run_id IN (SELECT id FROM r)
    UNION ALL SELECT 'run_reasons', id::text FROM run_reasons WHERE run_id IN (SELECT id FROM r)
    UNION ALL SELECT 'attachments', id::text FROM attachments WHERE run_id IN (SELECT id FROM r)
    UNION ALL SELECT 'reports', id::text FROM o
    UNION ALL SELECT 'amendments', id::text FROM amendments WHERE report_id IN (SELECT id FROM o)
    UNION ALL SELECT 'equipment', id::text FROM e
    UNION ALL SELECT 'equipment_verifications', id::text FROM equipment_verifications WHERE equipment_id IN (SELECT id FROM e)`);
  return rows;
}

/** Everybody by name: one statement for the choices and for what entries say. */
function namesOf(db: Queryable) {
  return db.select({ id: people.id, name: people.name }).from(people).orderBy(asc(people.name));
}

async function entriesOf(
  db: Queryable,
  filter: SQL | undefined,
  limit: number,
  zone: string,
): Promise<TrailEntry[]> {
  const names = new Map((await namesOf(db)).map(({ id, name }) => [id, name]));
  const said: TrailSaid = {
    person: (id) => names.get(id),
    moment: (iso) => trailMoment(new Date(iso), zone),
  };
  const rows = await db
    .select({ entry: audit, hash: auditChain.hash })
    .from(audit)
    .leftJoin(auditChain, eq(auditChain.entry, audit.id))
    .where(filter)
    .orderBy(desc(audit.id))
    .limit(limit);
  const tied = rows.map(({ entry }) => tiedRow(entry));
  const of = await labelsOf(db, tied);
  return rows.map(
    ({ entry, hash }, place): TrailEntry => ({
      ...{ id: entry.id, at: entry.at, action: entry.action, word: trailWord(entry.tableName) },
      who: names.get(entry.actor ?? '') ?? entry.actor ?? '',
      useCase: entry.useCase ?? '',
      of: of(tied[place] ?? {}),
      changes: trailChanges(
        entry.before as Record<string, unknown> | null,
        entry.after as Record<string, unknown> | null,
        said,
      ),
      hash: hash ?? '',
    }),
  );
}

/** A moment of the trail, to the second, where the laboratory is. */
export function trailMoment(at: Date, zone: string): string {
  return DateTime.fromJSDate(at, { zone }).toFormat('d LLL yyyy HH:mm:ss');
}

const idsIn = (rows: readonly Row[], ...names: readonly string[]): string[] => [
  ...new Set(
    rows.flatMap((row) => names.flatMap((name) => (typeof row[name] === 'string' ? [row[name]] : []))),
  ),
];

type Row = Readonly<Record<string, unknown>>;

/** The row that an entry tells of, tied to its test and its sample as the rows beside it are. */
function tiedRow({ tableName, after, before }: typeof audit.$inferSelect): Row {
  const row: Row = { ...((after ?? before) as Row | null) };
  if (tableName === 'runs') return { ...row, run_id: row.id };
  return tableName === 'samples' ? { ...row, sample_id: row.id } : row;
}

/** What entries are of, as it is written on things: gathered for all of them at once. */
async function labelsOf(db: Queryable, rows: readonly Row[]): Promise<(row: Row) => string> {
  const tests = await db
    .select({ id: runs.id, method: runs.method, specimenId: runs.specimenId, sampleId: runs.sampleId })
    .from(runs)
    .where(anyOf(runs.id, idsIn(rows, 'run_id')));
  const test = new Map(tests.map((each) => [each.id, each]));
  const marked = await db
    .select({ id: specimens.id, label: specimens.label })
    .from(specimens)
    .where(
      anyOf(specimens.id, [
        ...idsIn(rows, 'specimen_id'),
        ...tests.flatMap(({ specimenId }) => specimenId ?? []),
      ]),
    );
  const taken = await db
    .select({ id: samples.id, number: samples.number, job: jobs.number })
    .from(samples)
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(
      anyOf(samples.id, [...idsIn(rows, 'sample_id'), ...tests.flatMap(({ sampleId }) => sampleId ?? [])]),
    );
  const labels = new Map([
    ...marked.map(({ id, label }) => [id, label] as const),
    ...taken.map(({ id, number, job }) => [id, sampleLabel(job, number)] as const),
  ]);
  return (row) => {
    const own = ['label', 'number', 'code', 'title', 'name', 'field'].map((name) => row[name]);
    const run = test.get(String(row.run_id));
    const subject =
      labels.get(String(row.specimen_id)) ??
      labels.get(String(run?.specimenId)) ??
      labels.get(String(row.sample_id)) ??
      labels.get(String(run?.sampleId)) ??
      '';
    const named = own.find((each) => typeof each === 'string' || typeof each === 'number');
    return [
      subject,
      run?.method.replaceAll('-', ' ') ?? '',
      named === undefined || String(named) === subject ? '' : String(named),
    ]
      .filter(Boolean)
      .join(', ');
  };
}
