import { and, asc, count, desc, eq, inArray, isNotNull, notInArray, or, type SQL, sql } from 'drizzle-orm';
import {
  criteriaOf,
  evaluateSeries,
  limitsOfRule,
  looksAtSeveral,
  rowOf,
  type SeriesAsked,
  type SeriesPoint,
  type SeriesRule,
  seriesAsked,
  seriesOf,
  type Verdict,
} from '@/core/acceptance';
import { groupBy } from '@/core/group-by';
import { sampleLabel } from '@/core/identity/labels';
import type { Limits } from '@/core/limits';
import { findMaterial, MATERIALS } from '@/core/materials/registry';
import { STRESS_UNIT } from '@/core/methods/press';
import { METHODS } from '@/core/methods/registry';
import { type Exact, exact, measureIn, parseMeasure } from '@/core/quantity';
import { spreadOf } from '@/core/statistics';
import { plain } from '@/core/working';
import type { Database, Queryable } from '@/db/client';
import {
  jobs,
  lots,
  outcomes,
  runs,
  type SetTold,
  samples,
  sets,
  specifications,
  verdicts,
} from '@/db/schema';
import { specimenViews, withoutUnreleased } from './queries/dossier';
import { renewed } from './renewed';
import { limitsOfJobs } from './run-setup';
import { anyOf } from './scope';
import { type SpecimenSet, setsOfViews } from './sets';
import type { Transaction } from './use-case';

type SetRow = typeof sets.$inferInsert;
type VerdictRow = typeof verdicts.$inferInsert;
interface Place {
  readonly sample: typeof samples.$inferSelect;
  readonly placement: typeof lots.$inferSelect;
  readonly mix: typeof specifications.$inferSelect;
  readonly job: typeof jobs.$inferSelect;
}

/** What a series is judged by: what is asked for, in the job's unit. */
export function askedOf(
  rule: SeriesRule,
  asked: object,
  { system, rounding }: Pick<typeof jobs.$inferSelect, 'system' | 'rounding'>,
  limits: Limits,
): SeriesAsked {
  const unit = STRESS_UNIT[system];
  const parsed = parseMeasure(String({ ...asked }[rule.asked as keyof typeof asked] ?? ''), 'stress', unit);
  const specified = parsed.ok ? measureIn(parsed.measure, unit).value.toSignificantDigits(15).toFixed() : '0';
  return { rule, specified, system, limits, mode: rounding };
}

/** The series that a specification makes. */
export function seriesOfMix({
  material,
  asked,
}: Pick<typeof specifications.$inferSelect, 'material' | 'asked'>) {
  return seriesAsked(findMaterial(material)?.series, { ...asked });
}

/** Projects what the samples come to that this transaction has touched, by whichever way: the database tells them. */
export async function projectTouched(tx: Transaction): Promise<void> {
  const { rows } = await tx.execute<{ touched: string | null }>(
    sql`SELECT current_setting('bricole.touched', true) AS touched`,
  );
  const touched = rows[0]?.touched?.trim();
  if (touched) await projectSamples(tx, touched.split(' '));
}

/** The materials whose samples are zones of one place. */
const COUNTED_TOGETHER = MATERIALS.flatMap(({ id, hasPlan }) => (hasPlan ? [id] : []));

/**
 * Derives anew what samples come to and what is decided by them, as staff and as clients see it.
 * @returns how many rows are another thing than before
 */
export async function projectSamples(tx: Transaction, sampleIds: readonly string[]): Promise<number> {
  const touched = await tx
    .selectDistinct({ id: lots.specificationId })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(anyOf(samples.id, sampleIds))
    .orderBy(lots.specificationId);
  // Two who decide on one specification at a time: the second reads only after the first has written.
  for (const { id } of touched)
    await tx.execute(sql`SELECT pg_advisory_xact_lock(hashtext(${`verdicts ${id}`}))`);
  // Where pieces are counted over a whole place, what one zone of it wants hangs on the others.
  const beside = tx
    .select({ id: samples.lotId })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .where(and(anyOf(samples.id, sampleIds), inArray(specifications.material, COUNTED_TOGETHER)));
  const places = await tx
    .select({ sample: samples, placement: lots, mix: specifications, job: jobs })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(or(anyOf(samples.id, sampleIds), inArray(samples.lotId, beside)));
  let changed = 0;
  for (const own of groupBy(places, ({ mix }) => mix.id).values()) changed += await projectOf(tx, own);
  return changed;
}

async function projectOf(tx: Transaction, places: readonly Place[]): Promise<number> {
  const [{ mix, job }] = places as readonly [Place, ...Place[]];
  const ids = places.map(({ sample }) => sample.id);
  const all = await specimenViews(tx, ids, { detail: 'series' });
  const before = await pointsOf(tx, anyOf(sets.sampleId, ids));
  // A sample that nothing was made of yet says nothing.
  if (all.length === 0 && before.length === 0) return 0;
  const limitsBy = await limitsOfJobs(tx, [job]);
  const inSeries = findMaterial(mix.material)?.series !== undefined;
  const rules = seriesOfMix(mix);
  const uncertified = inSeries ? await uncertifiedSamples(tx, ids) : new Set<string>();
  const rows: SetRow[] = [];
  const alone: VerdictRow[] = [];
  for (const released of AUDIENCES) {
    const made = await setsOfViews(tx, places, released ? withoutUnreleased(all) : all, limitsBy);
    for (const { place, sets: own } of made)
      for (const set of own) {
        rows.push(
          setRow(place, set, own, {
            released,
            uncertified: uncertified.has(place.sample.id),
            series: seriesOf(rules, { ...mix.asked }, set)?.id ?? null,
          }),
        );
        for (const [at, verdict] of (inSeries ? [] : set.verdicts).entries()) {
          // A criterion that looks at each by itself has several verdicts in one set: each has a place of its own.
          const earlier = set.verdicts
            .slice(0, at)
            .filter(({ criterion }) => criterion === verdict.criterion);
          const key = earlier.length > 0 ? `${set.key}+${earlier.length}` : set.key;
          alone.push(verdictRow(mix.id, place.sample.id, released, verdict, key));
        }
      }
  }
  const changed = await replaceSets(tx, ids, rows);
  if (!inSeries) return changed + (await replaceVerdicts(tx, seenByAll(ids), alone));
  let judged = 0;
  for (const rule of rules) {
    const own = <R extends { series?: string | null }>(places: readonly R[]): R[] =>
      places.filter(({ series }) => series === rule.id);
    const about = { mix, rule, asked: askedOf(rule, mix.asked, job, limitsBy(job)) };
    judged += await judgeAround(tx, about, [...own(before), ...own(rows)], ids);
  }
  return changed + judged;
}

/** As staff see it, and as clients do: by what signed reports rest on. */
const AUDIENCES = [false, true] as const;

function seenByAll(ids: readonly string[]): string[] {
  return ids.flatMap((id) => AUDIENCES.map((released) => seenBy(id, released)));
}

/** A set as it is kept. */
function setRow(
  { sample, mix, job }: Place,
  set: SpecimenSet,
  all: readonly SpecimenSet[],
  {
    released,
    uncertified,
    series,
  }: { readonly released: boolean; readonly uncertified: boolean; readonly series: string | null },
): SetRow {
  const young = all.find(
    (each) =>
      !each.what &&
      each.ageHours !== null &&
      each.ageHours < mix.asked.ageHours &&
      each.test.state === 'tested',
  );
  const unaccepted = set.specimens.some(({ run }) => run?.state === 'complete' && run.openReasons.length > 0);
  const strengths = set.specimens.flatMap(({ run }) => run?.main ?? []);
  return {
    sampleId: sample.id,
    key: set.key,
    released,
    specificationId: mix.id,
    sampledAt: sample.sampledAt,
    label: sampleLabel(job.number, sample.number),
    series,
    state: set.test.state,
    value: set.test.state === 'tested' ? set.test.value : null,
    members: set.specimens.length,
    told: {
      singles: strengths.map(({ reported }) => reported),
      spread:
        set.test.state === 'tested' && set.specimens.length === set.test.used.length && strengths.length > 0
          ? spreadText(strengths.map(({ value }) => exact(value)))
          : null,
      engineer: [
        ...set.test.engineer,
        ...(unaccepted ? ['a recorded reason is not accepted yet'] : []),
        ...(uncertified ? ['sampled or moulded without a valid certificate'] : []),
      ],
      early:
        young?.test.text && young.ageHours !== null
          ? { ageHours: young.ageHours, text: young.test.text }
          : null,
    },
  };
}

function spreadText(values: readonly Exact[]): NonNullable<SetTold['spread']> {
  const { range, mean } = spreadOf(values);
  return { range: plain(range, 15), mean: plain(mean, 15) };
}

function verdictRow(
  specificationId: string,
  sampleId: string,
  released: boolean,
  verdict: Verdict,
  key: string,
): VerdictRow {
  const { criterion, state, statistic, limit, margin, sentence, members } = verdict;
  return {
    sampleId,
    released,
    criterion,
    key,
    specificationId,
    state,
    statistic,
    limit,
    margin,
    share: margin === null ? null : exact(margin).div(limit).toNumber(),
    sentence,
    members,
  };
}

async function replaceSets(
  tx: Transaction,
  sampleIds: readonly string[],
  rows: readonly SetRow[],
): Promise<number> {
  const kept = rows.map(({ sampleId, released, key }) => `${sampleId} ${released} ${key}`);
  const gone = await tx
    .delete(sets)
    .where(
      and(
        anyOf(sets.sampleId, sampleIds),
        kept.length > 0
          ? notInArray(sql`${sets.sampleId} || ' ' || ${sets.released} || ' ' || ${sets.key}`, kept)
          : undefined,
      ),
    )
    .returning({ key: sets.key });
  if (rows.length === 0) return gone.length;
  const changed = await tx
    .insert(sets)
    .values([...rows])
    .onConflictDoUpdate({
      target: [sets.sampleId, sets.key, sets.released],
      ...renewed(sets, [
        'specificationId',
        'sampledAt',
        'label',
        'series',
        'state',
        'value',
        'members',
        'told',
      ]),
    })
    .returning({ key: sets.key });
  return gone.length + changed.length;
}

/** A sample as one audience sees it. */
const seenBy = (id: string, released: boolean): string => `${id} ${released}`;

/** @param judged samples as `seenBy`: whatever else they had is gone, in a series of that series only */
async function replaceVerdicts(
  tx: Transaction,
  judged: readonly string[],
  rows: readonly VerdictRow[],
  series?: string,
): Promise<number> {
  const kept = rows.map(
    ({ sampleId, released, criterion, key }) => `${sampleId} ${released} ${criterion} ${key}`,
  );
  const gone = await tx
    .delete(verdicts)
    .where(
      and(
        anyOf(verdicts.sampleId, [...new Set(judged.map((each) => each.split(' ')[0] ?? ''))]),
        inArray(sql`${verdicts.sampleId} || ' ' || ${verdicts.released}`, [...judged]),
        series === undefined ? undefined : eq(verdicts.key, series),
        kept.length > 0
          ? notInArray(
              sql`${verdicts.sampleId} || ' ' || ${verdicts.released} || ' ' || ${verdicts.criterion} || ' ' || ${verdicts.key}`,
              kept,
            )
          : undefined,
      ),
    )
    .returning({ key: verdicts.key });
  if (rows.length === 0) return gone.length;
  const changed = await tx
    .insert(verdicts)
    .values([...rows])
    .onConflictDoUpdate({
      target: [verdicts.sampleId, verdicts.released, verdicts.criterion, verdicts.key],
      ...renewed(verdicts, [
        'specificationId',
        'state',
        'statistic',
        'limit',
        'margin',
        'share',
        'sentence',
        'members',
      ]),
    })
    .returning({ key: verdicts.key });
  return gone.length + changed.length;
}

type Point = SeriesPoint & { readonly released: boolean; readonly series: string | null };

function pointOf(
  row: Pick<
    typeof sets.$inferSelect,
    'sampleId' | 'label' | 'sampledAt' | 'value' | 'state' | 'released' | 'told' | 'series'
  >,
): Point {
  const { sampleId, label, sampledAt, value, state, released, told, series } = row;
  return {
    id: sampleId,
    label,
    sampledAt: sampledAt.getTime(),
    value,
    state,
    engineer: told.engineer,
    released,
    series,
  };
}

/** Tests of a series as they are kept. */
async function pointsOf(db: Queryable, which: SQL | undefined): Promise<Point[]> {
  return (
    await db
      .select()
      .from(sets)
      .where(and(which, isNotNull(sets.series)))
  ).map(pointOf);
}

/** How far a mean of some in a row reaches over the tests on either side: of three over two. */
function reachOf({ rule, limits }: SeriesAsked): number {
  return Math.max(...criteriaOf(rule.criteria(limits.profile)).map(rowOf)) - 1;
}

/** True where a series is judged lot by lot. */
function isByLots({ rule, limits }: SeriesAsked): boolean {
  return criteriaOf(rule.criteria(limits.profile)).some((each) => looksAtSeveral(each) && rowOf(each) === 1);
}

/** Where a test stands in its series. */
interface Position {
  readonly sampledAt: Date;
  readonly label: string;
}

/**
 * From a test to another of a series that is judged lot by lot, widened until no lot is cut: placements go on beside one
 * another.
 * @param touched samples whose lots are among them, even where they have no place any more
 */
async function wholeLots(
  tx: Transaction,
  { mix, rule }: Pick<Series, 'mix' | 'rule'>,
  touched: readonly string[],
  first: Position,
  last: Position,
): Promise<readonly [Position, Position]> {
  const own = sql`s.specification_id = ${mix.id} AND s.series = ${rule.id}`;
  const { rows } = await tx.execute<{ sampled_at: string; label: string }>(sql`
    SELECT s.sampled_at, s.label FROM sets s JOIN samples p ON p.id = s.sample_id
    WHERE ${own} AND (p.lot_id IN (SELECT q.lot_id FROM sets s JOIN samples q ON q.id = s.sample_id
        WHERE ${own} AND (s.sampled_at, s.label) BETWEEN ${placed(first)} AND ${placed(last)})
      OR p.lot_id IN (SELECT q.lot_id FROM samples q WHERE q.id = ANY(${sql.param(touched)}::uuid[])))
    ORDER BY s.sampled_at, s.label`);
  const found = rows.map((row): Position => ({ sampledAt: new Date(row.sampled_at), label: row.label }));
  const [low, high] = [found[0], found.at(-1)];
  if (!low || !high) return [first, last];
  const begin = inOrder(low, first) < 0 ? low : first;
  const end = inOrder(high, last) > 0 ? high : last;
  return begin === first && end === last ? [first, last] : wholeLots(tx, { mix, rule }, touched, begin, end);
}

const placed = ({ sampledAt, label }: Position): SQL =>
  sql`(${sampledAt.toISOString()}::timestamptz, ${label})`;
const inOrder = (a: Position, b: Position): number =>
  a.sampledAt.getTime() - b.sampledAt.getTime() || a.label.localeCompare(b.label);

interface Series {
  readonly mix: typeof specifications.$inferSelect;
  readonly rule: SeriesRule;
  readonly asked: SeriesAsked;
}

/**
 * The tests of a series from the few before a place in its order to the few after another, as each audience sees them:
 * those outside that make no valid result are passed over.
 */
async function slice(
  tx: Transaction,
  { mix, rule, asked }: Series,
  first: Position,
  last: Position,
): Promise<{ readonly points: readonly Point[]; readonly before: ReadonlySet<string> }> {
  const part = (name: string, where: SQL, way: SQL, most: SQL): SQL => sql`
    SELECT ${sql.raw(`'${name}'`)} AS part, s.*, p.lot_id FROM (VALUES (false), (true)) a (released)
    CROSS JOIN LATERAL (SELECT * FROM sets s WHERE s.specification_id = ${mix.id}
      AND s.released = a.released AND s.series = ${rule.id} AND ${where} ORDER BY s.sampled_at ${way}, s.label ${way} ${most}) s
      JOIN samples p ON p.id = s.sample_id`;
  const valid = sql`s.state <> 'no valid result'`;
  const few = sql`LIMIT ${sql.raw(String(reachOf(asked)))}`;
  const position = sql`(s.sampled_at, s.label)`;
  const { rows } = await tx.execute<{
    part: string;
    sample_id: string;
    label: string;
    sampled_at: string;
    value: string | null;
    state: SeriesPoint['state'];
    released: boolean;
    told: SetTold;
    lot_id: string;
  }>(sql`
    ${part('before', sql`${valid} AND ${position} < ${placed(first)}`, sql`DESC`, few)}
    UNION ALL ${part('here', sql`${position} BETWEEN ${placed(first)} AND ${placed(last)}`, sql`ASC`, sql``)}
    UNION ALL ${part('after', sql`${valid} AND ${position} > ${placed(last)}`, sql`ASC`, few)}`);
  const found = rows.map((row) => ({
    part: row.part,
    point: {
      ...pointOf({ ...row, series: rule.id, sampleId: row.sample_id, sampledAt: new Date(row.sampled_at) }),
      lot: row.lot_id,
    },
  }));
  return {
    points: found.map(({ point }) => point),
    before: new Set(
      found.flatMap(({ part: of, point }) => (of === 'before' ? [seenBy(point.id, point.released)] : [])),
    ),
  };
}

/**
 * Judges a series anew around places in its order, old ones and new ones: from the few tests before the first, which keep
 * their own verdicts, to the few after the last.
 * @param touched samples whose verdicts are written anew even where they have no place any more
 */
async function judgeAround(
  tx: Transaction,
  series: Series,
  places: readonly { readonly sampledAt: number | Date; readonly label: string }[],
  touched: readonly string[],
): Promise<number> {
  const ordered = places
    .map(({ sampledAt, label }) => ({ sampledAt: new Date(sampledAt), label }))
    .toSorted(inOrder);
  const [first, last] = [ordered[0], ordered.at(-1)];
  const { mix, rule, asked } = series;
  if (!first || !last) return replaceVerdicts(tx, seenByAll(touched), [], rule.id);
  const ends = isByLots(asked) ? await wholeLots(tx, series, touched, first, last) : ([first, last] as const);
  const { points, before } = await slice(tx, series, ...ends);
  const judged = new Set([
    ...seenByAll(touched),
    ...points.map(({ id, released }) => seenBy(id, released)).filter((each) => !before.has(each)),
  ]);
  const rows = AUDIENCES.flatMap((released) => {
    const { windows, individuals } = evaluateSeries(
      points.filter((point) => point.released === released),
      asked,
    );
    return [...windows, ...individuals].flatMap((verdict) => {
      const at = verdict.members.at(-1) ?? '';
      return judged.has(seenBy(at, released)) ? [verdictRow(mix.id, at, released, verdict, rule.id)] : [];
    });
  });
  return replaceVerdicts(tx, [...judged], rows, rule.id);
}

/** Tests of a sample that a certified person must have made, for its sets to count. */
const CERTIFIED: string[] = METHODS.flatMap(({ set }) => set?.certified ?? []);

/** Samples that somebody without a valid certificate took or moulded, by the newest outcomes of those runs. */
async function uncertifiedSamples(
  db: Queryable,
  sampleIds: readonly string[],
): Promise<ReadonlySet<string | null>> {
  const newest = await db
    .selectDistinctOn([outcomes.runId], {
      sampleId: runs.sampleId,
      uncertified: sql<boolean>`${outcomes.outcome} -> 'findings' @> '[{"id":"people.certified"}]'::jsonb`,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(and(anyOf(runs.sampleId, sampleIds), inArray(runs.method, CERTIFIED)))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return new Set(newest.filter(({ uncertified }) => uncertified).map(({ sampleId }) => sampleId));
}

/** Limits that sets and their criteria hang on, or the beginnings of their names. */
const HELD_TO: readonly string[] = [
  ...MATERIALS.flatMap(({ series = [] }) => series.flatMap(({ heldTo }) => heldTo)),
  ...METHODS.flatMap(({ set }) => (set ? limitsOfRule(set) : [])),
];

/**
 * What is decided is derived anew, where a limit has changed that it hangs on: specification by specification, so that
 * nobody who decides on another one waits for it.
 * @param jobId the project that set it
 */
export async function judgeUnderLimit(
  db: Database,
  limitId: string,
  jobId: string | undefined,
): Promise<void> {
  if (!HELD_TO.some((beginning) => limitId.startsWith(beginning))) return;
  const all = await db
    .select({ id: specifications.id })
    .from(specifications)
    .where(jobId ? eq(specifications.jobId, jobId) : undefined)
    .orderBy(specifications.id);
  for (const { id } of all) await db.transaction((tx) => rebuildVerdicts(tx, eq(specifications.id, id)));
}

/** Samples that are derived anew at a time, of one specification: their rows go as parameters, which end at 65,535. */
const AT_ONCE = 200;

/**
 * Derives every set and verdict anew from the records.
 * @param which the specifications; absent: all
 * @returns how many rows there are, and how many were another thing than before: none, unless something was wrong
 */
export async function rebuildVerdicts(
  tx: Transaction,
  which?: SQL,
): Promise<{ readonly rows: number; readonly changed: number }> {
  const taken = await tx
    .select({ id: samples.id, specificationId: lots.specificationId })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .where(which)
    .orderBy(asc(lots.specificationId), asc(samples.sampledAt));
  let changed = 0;
  for (const own of groupBy(taken, ({ specificationId }) => specificationId).values())
    for (let from = 0; from < own.length; from += AT_ONCE)
      changed += await projectSamples(
        tx,
        own.slice(from, from + AT_ONCE).map(({ id }) => id),
      );
  const [held] = await tx.select({ rows: count() }).from(verdicts);
  return { rows: held?.rows ?? 0, changed };
}
