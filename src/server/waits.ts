import { and, count, desc, eq, gte, inArray, isNotNull, notInArray, or, type SQL, sql } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import { type Method, usableInput } from '@/core/methods';
import { findMethod, METHODS } from '@/core/methods/registry';
import { waitsOf, waitsOn } from '@/core/methods/step-clock';
import { dutiesOf, dutyWait } from '@/core/storage';
import type { Wait } from '@/core/waits/wait';
import type { Queryable } from '@/db/client';
import { batchMembers, runs, specimens, storageDuties, storages, waits } from '@/db/schema';
import { currentReadingsOf, inputOf } from './readings';
import { renewed } from './renewed';
import { type RunPlace, runPlaces } from './run-place';
import { limitsNow, runSetup } from './run-setup';
import { anyOf } from './scope';
import type { Transaction } from './use-case';

type Row = typeof waits.$inferInsert;

/** The methods whose readings make something wait, with the readings that it hangs on. */
const WAITING = new Map(
  METHODS.map((method) => [method.id, waitsOn(method)] as const).filter(
    ([, on]) => on === 'all' || on.size > 0,
  ),
);
/** Those in which something may still end by itself when they are complete. */
const ENDING = [...WAITING].flatMap(([id, on]) => (on === 'all' ? [id] : []));
const DAY = 86_400_000;
/** How long after its completion what a run waits for is still looked at. */
const LATELY_DAYS = 45;

/** Puts what an owner waits for in place of what it waited for. @returns how many rows are another thing than before */
async function replaceWaits(tx: Transaction, owner: string, rows: readonly Row[]): Promise<number> {
  const keys = rows.map(({ key }) => key);
  const gone = await tx
    .delete(waits)
    .where(and(eq(waits.owner, owner), keys.length > 0 ? notInArray(waits.key, keys) : undefined))
    .returning({ key: waits.key });
  if (rows.length === 0) return gone.length;
  const changed = await tx
    .insert(waits)
    .values([...rows])
    .onConflictDoUpdate({
      target: [waits.owner, waits.key],
      ...renewed(waits, ['what', 'opensAt', 'bestAt', 'closesAt', 'doneAt', 'provisional']),
    })
    .returning({ key: waits.key });
  return gone.length + changed.length;
}

/** A wait as it is kept. */
function rowOf(owner: string, wait: Wait, of: Partial<Row>): Row {
  const instant = (text: string | undefined): Date | null => (text === undefined ? null : new Date(text));
  return {
    owner,
    key: wait.about ? `${wait.id}/${wait.about}` : wait.id,
    what: wait.what,
    lane: wait.lane,
    opensAt: new Date(wait.opens),
    bestAt: instant(wait.best),
    closesAt: instant(wait.closes),
    doneAt: instant(wait.done),
    provisional: wait.provisional ?? null,
    ...of,
  };
}

/** What a run waits for by its readings in force. A test that is complete has nothing left to do but what ends by itself. */
async function waitsOfRun(
  tx: Queryable,
  place: RunPlace,
  current: readonly { field: string; text: string | null; takenAt: Date }[],
  now: Date,
): Promise<Row[]> {
  const { run, sample, job } = place;
  const method = findMethod(run.method) as Method;
  const typed = inputOf(method, job.system, current);
  const { system: _, ...setup } = await runSetup(tx, place, typed, now, { by: run.startedBy ?? '', current });
  const { input } = usableInput(method, typed);
  const found = waitsOf(method, input, setup).filter(
    ({ done, stays }) => done || stays || run.state === 'open',
  );
  const members =
    run.batchId && found.length > 0
      ? await tx
          .select({ id: specimens.id, label: specimens.label, sampleId: specimens.sampleId })
          .from(batchMembers)
          .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
          .where(eq(batchMembers.batchId, run.batchId))
      : [];
  return found.map((wait) => {
    const member = members.find(({ label }) => label === wait.about);
    return rowOf(run.id, wait, {
      runId: run.id,
      specimenId: run.specimenId ?? member?.id ?? null,
      // What is waited for of a whole batch belongs where its first specimen does.
      sampleId: member?.sampleId ?? sample?.id ?? members[0]?.sampleId ?? null,
      lotId: run.lotId,
    });
  });
}

/** Derives anew what runs wait for. */
async function projectRuns(tx: Transaction, which: SQL | undefined, now: Date): Promise<number> {
  const wanted = await tx
    .select({ id: runs.id })
    .from(runs)
    .where(and(inArray(runs.method, [...WAITING.keys()]), which));
  if (wanted.length === 0) return 0;
  const ids = wanted.map(({ id }) => id);
  const current = await currentReadingsOf(tx, ids);
  let changed = 0;
  for (const place of await runPlaces(tx, ids)) {
    const rows = await waitsOfRun(tx, place, current.get(place.run.id) ?? [], now);
    changed += await replaceWaits(tx, place.run.id, rows);
  }
  return changed;
}

/**
 * What waits by the readings of a run that were just saved, or since it is complete.
 * @param saved the names of the readings; absent: it is complete
 */
export async function projectRun(
  tx: Transaction,
  { run, sample }: Pick<RunPlace, 'run' | 'sample'>,
  now: Date,
  saved?: readonly string[],
): Promise<void> {
  await projectMembers(tx, run, now);
  const on = WAITING.get(run.method);
  if (!on || (saved && on !== 'all' && !saved.some((name) => on.has(name)))) return;
  if (sample) await oneAtATime(tx, sample.id);
  await projectRuns(tx, eq(runs.id, run.id), now);
}

/** What those tests wait for that are told something by a test beside them. */
export async function projectResting(
  tx: Transaction,
  { sample }: Pick<RunPlace, 'sample'>,
  ids: readonly string[],
  now: Date,
): Promise<void> {
  if (ids.length === 0) return;
  if (sample) await oneAtATime(tx, sample.id);
  await projectRuns(tx, inArray(runs.id, [...ids]), now);
}

/** The methods that wait for what batches of some kind say, by the kind. */
const AWAITED_BY = groupBy(
  METHODS.filter((method) => WAITING.get(method.id) === 'all').flatMap(({ id, facts }) =>
    Object.values(facts ?? {}).flatMap(({ of, by = [] }) =>
      of === 'batch' ? by.map((each) => ({ by: each, id })) : [],
    ),
  ),
  ({ by }) => by,
);

/** What the tests of a batch's specimens wait for, where they know it from the batch. */
async function projectMembers(
  tx: Transaction,
  { method, batchId }: RunPlace['run'],
  now: Date,
): Promise<void> {
  const waiting = AWAITED_BY.get(method);
  if (!waiting || !batchId) return;
  await projectRuns(
    tx,
    and(
      inArray(
        runs.method,
        waiting.map(({ id }) => id),
      ),
      inArray(
        runs.specimenId,
        tx
          .select({ id: batchMembers.specimenId })
          .from(batchMembers)
          .where(eq(batchMembers.batchId, batchId)),
      ),
    ),
    now,
  );
}

/** What all tests of a sample wait for, after a moment was stamped that they hang from. */
export async function projectSample(tx: Transaction, sampleId: string, now: Date): Promise<void> {
  await oneAtATime(tx, sampleId);
  await projectRuns(tx, eq(runs.sampleId, sampleId), now);
}

/** Two devices at one sample: who comes second sees what the first has saved. */
async function oneAtATime(tx: Transaction, sampleId: string): Promise<void> {
  await tx.execute(sql`SELECT pg_advisory_xact_lock(hashtext(${`waits ${sampleId}`}))`);
}

/** What tanks and rooms wait for. @param storageId one of them; absent: all */
export async function projectDuties(tx: Transaction, storageId?: string): Promise<number> {
  const limits = await limitsNow(tx);
  const all = await tx
    .select()
    .from(storages)
    .where(storageId ? eq(storages.id, storageId) : undefined);
  if (all.length === 0) return 0;
  const done = await tx
    .selectDistinctOn([storageDuties.storageId, storageDuties.duty])
    .from(storageDuties)
    .where(
      anyOf(
        storageDuties.storageId,
        all.map(({ id }) => id),
      ),
    )
    .orderBy(storageDuties.storageId, storageDuties.duty, desc(storageDuties.at));
  let changed = 0;
  for (const { id, kind, createdAt } of all) {
    const rows = dutiesOf(kind).map((duty) => {
      const last = done.find((each) => each.storageId === id && each.duty === duty);
      const wait = dutyWait(duty, last?.at.getTime() ?? null, createdAt.getTime(), limits, 'US');
      return rowOf(id, wait, { storageId: id });
    });
    changed += await replaceWaits(tx, id, rows);
  }
  return changed;
}

/** What still waits is derived anew, since a limit has changed: few runs are open at a time. */
export async function projectUnderLimit(tx: Transaction, now: Date): Promise<void> {
  await projectRuns(tx, and(inArray(runs.method, [...WAITING.keys()]), eq(runs.state, 'open')), now);
  await projectDuties(tx);
}

/**
 * Derives everything anew that waits or ended lately, from the records alone.
 * @returns how many rows it holds, and how many of them are another thing than before: none, unless something was wrong
 */
export async function rebuildWaits(
  tx: Transaction,
  now: Date,
): Promise<{ readonly rows: number; readonly changed: number }> {
  const { rows: ages } = await tx.execute<{ changed: string }>(
    sql`SELECT count(*) FILTER (WHERE project_specimen(s)) AS changed FROM specimens s`,
  );
  const lately = new Date(now.getTime() - LATELY_DAYS * DAY);
  const held = tx.select({ id: waits.runId }).from(waits).where(isNotNull(waits.runId));
  const ofRuns = await projectRuns(
    tx,
    or(
      eq(runs.state, 'open'),
      and(inArray(runs.method, ENDING), gte(runs.completedAt, lately)),
      inArray(runs.id, held),
    ),
    now,
  );
  const ofDuties = await projectDuties(tx);
  const [all] = await tx.select({ rows: count() }).from(waits);
  return { rows: all?.rows ?? 0, changed: Number(ages[0]?.changed ?? 0) + ofRuns + ofDuties };
}
