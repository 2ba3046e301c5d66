import { and, asc, count, desc, eq, inArray, type SQL, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import {
  criteriaOf,
  type Decided,
  findCriterion,
  looksAtSeveral,
  type SeriesPoint,
  type SeriesRule,
  type SeriesVerdicts,
  seriesStanding,
  summarise,
  type VerdictState,
} from '@/core/acceptance';
import type { StrengthPair } from '@/core/flexure-compression';
import type { Limits } from '@/core/limits';
import { findMaterial } from '@/core/materials/registry';
import { exact } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  followUps,
  jobs,
  lots,
  requirements,
  type SetTold,
  samples,
  sets,
  specifications,
  verdicts,
} from '@/db/schema';
import { limitsOfJobs } from '../run-setup';
import { anyOf, present, readableJobs } from '../scope';
import type { Actor } from '../use-case';
import { askedOf, seriesOfMix } from '../verdicts';
import { followUpsOf } from './follow-ups';

/** A strength test of a series, or its place while it is not broken yet. */
export interface SeriesRow extends SeriesPoint, SetTold {
  readonly sampleId: string;
  readonly element: string;
  /** How many specimens its set has. */
  readonly members: number;
}

/** A strength test of a series as it is kept. */
export function seriesRow({ set, element }: { set: typeof sets.$inferSelect; element: string }): SeriesRow {
  const { sampleId, label, sampledAt, value, state, members, told } = set;
  return {
    id: sampleId,
    sampleId,
    label,
    sampledAt: sampledAt.getTime(),
    value,
    state,
    element,
    members,
    ...told,
  };
}

/** Tests drawn, listed and gone into at once, the newest; every one of them counts in what is said of them all. */
const DRAWN = 200;
const LISTED = 20;
/** True for a page of the list that is drawn as well: it is not asked for again. */
const isDrawn = (page: number): boolean => (page + 1) * LISTED <= DRAWN;
/** Low tests gone into, the newest; `all` asks for more of them. */
const LOW_LISTED = 3;
const LOW_WHEN_ASKED = 24;

/**
 * How a mix stands by one of its series, with a page of its tests: the newest drawn, a page listed, all of them counted. For a
 * client only results of signed reports count; the others are waiting.
 * @param page from 0, the newest
 * @param wanted the series, by its id; absent, or where the mix has no such one: its first
 * @param allLow true for more than the newest of the low tests
 */
export async function mixPage(
  db: Queryable,
  actor: Actor,
  specificationId: string,
  page: number,
  {
    series: wanted,
    allLow = false,
  }: { readonly series?: string | undefined; readonly allLow?: boolean } = {},
) {
  const [found] = await db
    .select({ mix: specifications, job: jobs })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(and(eq(specifications.id, specificationId), readableJobs(db, actor)));
  const { mix, job } = present(found, 'This mix');
  const released = actor.role === 'client';
  const all = seriesOfMix(mix);
  const rule = present(all.find(({ id }) => id === wanted) ?? all[0], 'A series of this mix');
  const own = and(eq(sets.specificationId, mix.id), eq(sets.released, released), eq(sets.series, rule.id));
  const rowsOf = async (offset: number, limit: number): Promise<SeriesRow[]> =>
    (
      await db
        .select({ set: sets, element: lots.title })
        .from(sets)
        .innerJoin(samples, eq(samples.id, sets.sampleId))
        .innerJoin(lots, eq(lots.id, samples.lotId))
        .where(own)
        .orderBy(desc(sets.sampledAt), desc(sets.label))
        .limit(limit)
        .offset(offset)
    )
      .map(seriesRow)
      .toReversed();
  // Asked for side by side: none of them waits for another.
  const [limitsBy, standings, drawn, older, failed, excluded, criteria, within, pairs, done] =
    await Promise.all([
      limitsOfJobs(db, [job]),
      standingBy(db, [{ id: mix.id, series: rule.id }], released, true),
      rowsOf(0, DRAWN),
      isDrawn(page) ? null : rowsOf(page * LISTED, LISTED),
      failedOf(db, mix.id, rule.id, released),
      db
        .select({ label: sets.label, all: sql<number>`count(*) OVER ()::int` })
        .from(sets)
        .where(and(own, eq(sets.state, 'no valid result')))
        .orderBy(desc(sets.sampledAt), desc(sets.label))
        .limit(LISTED),
      db.select().from(requirements).where(eq(requirements.specificationId, mix.id)),
      withinAll(db, own),
      pairsOf(db, mix.id, rule, released),
      released ? [] : followUpsOf(db, inArray(followUps.sampleId, samplesOf(db, mix.id))),
    ]);
  const limits = limitsBy(job);
  const standing = standings(mix.id);
  const listed =
    older ??
    drawn
      .toReversed()
      .slice(page * LISTED, (page + 1) * LISTED)
      .toReversed();
  const decided = await db
    .select()
    .from(verdicts)
    .where(
      and(
        anyOf(verdicts.sampleId, [...new Set([...drawn, ...listed].map(({ id }) => id))]),
        eq(verdicts.released, released),
        eq(verdicts.key, rule.id),
      ),
    );
  const by = (several: boolean): ReadonlyMap<string, (typeof decided)[number]> =>
    new Map(
      decided
        .filter(({ criterion }) => isOfSeveral(criterion) === several)
        .map((verdict) => [verdict.sampleId, verdict]),
    );
  const failing = (several: boolean) => failed.filter(({ criterion }) => isOfSeveral(criterion) === several);
  const held = rule.criteria(limits.profile);
  return {
    mix,
    job,
    limits,
    state: summarise(standing.states.filter(isDecided).map((state) => ({ state }))),
    waiting: standing.waiting,
    governing: standing.governing,
    asks: asksOf(rule, mix, job, limits, standing.before),
    criteria: criteria.filter(({ criterion }) => held.includes(criterion)),
    rule,
    all,
    /** The criterion that looks at several of its tests at once. */
    several: criteriaOf(held).find(looksAtSeveral),
    drawn,
    listed,
    count: standing.rows,
    pages: Math.ceil(standing.rows / LISTED),
    means: by(true),
    singles: by(false),
    low: failing(false).slice(-(allLow ? LOW_WHEN_ASKED : LOW_LISTED)),
    lowBefore: Math.max(0, failing(false).length - (allLow ? LOW_WHEN_ASKED : LOW_LISTED)),
    lowMeans: failing(true).length,
    excluded: {
      labels: excluded.map(({ label }) => label).toReversed(),
      more: (excluded[0]?.all ?? 0) - excluded.length,
    },
    within,
    pairs,
    followUps: done,
  };
}

const isOfSeveral = (criterion: string): boolean =>
  looksAtSeveral(findCriterion(criterion) ?? { population: 'each' });

/** What does not meet of a series, in sampling order. */
async function failedOf(db: Queryable, specificationId: string, series: string, released: boolean) {
  const rows = await db
    .select({
      sampleId: sets.sampleId,
      label: sets.label,
      criterion: verdicts.criterion,
      sentence: verdicts.sentence,
    })
    .from(verdicts)
    .innerJoin(
      sets,
      and(
        eq(sets.sampleId, verdicts.sampleId),
        eq(sets.released, verdicts.released),
        eq(sets.series, verdicts.key),
      ),
    )
    .where(
      and(
        eq(verdicts.specificationId, specificationId),
        eq(verdicts.released, released),
        eq(verdicts.key, series),
        eq(verdicts.state, 'does not meet'),
      ),
    )
    .orderBy(desc(sets.sampledAt), desc(sets.label));
  return rows.toReversed();
}

const isDecided = (state: VerdictState): boolean => state !== 'not yet determinable';

/** What a series is held against, and what the next result must reach after the last ones. */
function asksOf(
  rule: SeriesRule,
  mix: typeof specifications.$inferSelect,
  job: typeof jobs.$inferSelect,
  limits: Limits,
  before: readonly SeriesPoint[],
): SeriesVerdicts<Decided> {
  return seriesStanding<Decided>(
    before,
    { windows: [], individuals: [] },
    askedOf(rule, mix.asked, job, limits),
  );
}

/** The mean range and the mean of all full sets of the size that the series began with; undefined where there are none. */
async function withinAll(db: Queryable, own: SQL | undefined) {
  const mean = (name: 'range' | 'mean'): SQL<string> =>
    sql<string>`avg((${sets.told} #>> ${sql.raw(`'{spread,${name}}'`)})::numeric)`;
  const [first] = await db
    .select({ size: sets.members, count: count(), range: mean('range'), mean: mean('mean') })
    .from(sets)
    .where(and(own, sql`jsonb_typeof(${sets.told} -> 'spread') = 'object'`))
    .groupBy(sets.members)
    .orderBy(sql`min(${sets.sampledAt})`)
    .limit(1);
  return (
    first && {
      size: first.size,
      count: first.count,
      spread: { range: exact(first.range), mean: exact(first.mean) },
    }
  );
}

/** Pairs that are laid beside one another at most, the newest. */
const PAIRS = 200;

/** Tests of a series and what was broken beside them: of one sample, at one age, cured alike. */
async function pairsOf(
  db: Queryable,
  specificationId: string,
  { method, beside }: SeriesRule,
  released: boolean,
): Promise<readonly StrengthPair[]> {
  if (!beside) return [];
  const own = alias(sets, 'own');
  const rows = await db
    .select({ label: own.label, flexure: own.value, compression: sets.value })
    .from(own)
    .innerJoin(
      sets,
      and(
        eq(sets.sampleId, own.sampleId),
        eq(sets.released, own.released),
        eq(sets.key, sql`${beside.method} || substr(${own.key}, ${method.length + 1}::int)`),
        eq(sets.state, 'tested'),
      ),
    )
    .where(
      and(
        eq(own.specificationId, specificationId),
        eq(own.released, released),
        eq(own.state, 'tested'),
        sql`starts_with(${own.key}, ${`${method}/`})`,
      ),
    )
    .orderBy(desc(own.sampledAt), desc(own.label))
    .limit(PAIRS);
  return rows
    .map(({ label, flexure, compression }) => ({
      label,
      flexure: Number(flexure),
      compression: Number(compression),
    }))
    .toReversed();
}

/** The samples of a specification. */
function samplesOf(db: Queryable, specificationId: string) {
  return db
    .select({ id: samples.id })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(eq(lots.specificationId, specificationId));
}

/** A specification as the list of verdicts shows it. */
export interface ShownSpecification {
  readonly mix: typeof specifications.$inferSelect;
  readonly job: typeof jobs.$inferSelect;
  readonly state: VerdictState;
  readonly words: string;
  /** What the next result must reach; null where nothing is known of it. */
  readonly needed: string | null;
  readonly governing: string | null;
}

/** Mixes shown at once. */
const MIXES_SHOWN = 6;

/**
 * The mixes a person may read, those placed last first, with how each stands: a page of them.
 * @param page from 0
 */
export async function seriesPage(
  db: Queryable,
  actor: Actor,
  page: number,
): Promise<{
  readonly shown: readonly ShownSpecification[];
  readonly count: number;
  readonly pages: number;
}> {
  const found = await db
    .select({
      mix: specifications,
      job: jobs,
      count: sql<number>`(count(*) over ())::int`,
    })
    .from(specifications)
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(readableJobs(db, actor))
    .orderBy(
      sql`(select max(p.starts_at) from lots p where p.specification_id = ${specifications.id}) desc nulls last`,
      asc(jobs.number),
      asc(specifications.code),
      asc(specifications.version),
    )
    .limit(MIXES_SHOWN)
    .offset(page * MIXES_SHOWN);
  const standing = await standingBy(
    db,
    found.map(({ mix }) => ({ id: mix.id, series: seriesOfMix(mix)[0]?.id ?? '' })),
    actor.role === 'client',
  );
  const limitsBy = await limitsOfJobs(
    db,
    found.map(({ job }) => job),
  );
  const shown = found.map(({ mix, job }): ShownSpecification => {
    const { states, governing, taken, tested, waiting, valid, before } = standing(mix.id);
    const material = findMaterial(mix.material);
    const [rule] = seriesOfMix(mix);
    const inSeries = rule !== undefined;
    const decided = states.filter((state) => !inSeries || isDecided(state));
    return {
      mix,
      job,
      state: summarise(decided.map((state) => ({ state }))),
      words: inSeries
        ? `${valid - waiting} tests decided, ${waiting} waiting.`
        : `${tested} of ${taken} ${material?.words.sample[1]} tested.`,
      needed: rule ? (asksOf(rule, mix, job, limitsBy(job), before).needed?.text ?? null) : null,
      governing,
    };
  });
  const all = found[0]?.count ?? 0;
  return { shown, count: all, pages: Math.ceil(all / MIXES_SHOWN) };
}

interface StandingRow extends Record<string, unknown> {
  readonly id: string;
  readonly states: readonly VerdictState[] | null;
  readonly governing: string | null;
  readonly taken: number;
  readonly tested: number;
  readonly rows: number;
  readonly waiting: number;
  readonly valid: number;
  readonly before: readonly { readonly value: string; readonly at: string; readonly label: string }[] | null;
}

/**
 * How specifications stand, counted where the verdicts are kept: no test of them is read.
 * @param wanted each with the series whose tests are counted
 * @param alone true where only what is decided in that series is looked at
 */
async function standingBy(
  db: Queryable,
  wanted: readonly { readonly id: string; readonly series: string }[],
  released: boolean,
  alone = false,
) {
  const only = alone ? sql`AND v.key = w.series` : sql``;
  const { rows } = await db.execute<StandingRow>(sql`
    SELECT m.id, d.states, g.sentence AS governing, n.taken, c.tested, c.rows, c.waiting, c.valid, b.before
    FROM specifications m
    JOIN unnest(${sql.param(wanted.map(({ id }) => id))}::uuid[], ${sql.param(wanted.map(({ series }) => series))}::text[]) w (id, series) ON w.id = m.id
    CROSS JOIN LATERAL (SELECT array_agg(DISTINCT v.state) AS states FROM verdicts v
      WHERE v.specification_id = m.id AND v.released = ${released} ${only}) d
    LEFT JOIN LATERAL (SELECT v.sentence FROM verdicts v
      WHERE v.specification_id = m.id AND v.released = ${released} ${only} AND v.share IS NOT NULL
      ORDER BY v.share, v.criterion DESC LIMIT 1) g ON true
    CROSS JOIN LATERAL (SELECT count(*)::int AS taken FROM samples s JOIN lots l ON l.id = s.lot_id
      WHERE l.specification_id = m.id) n
    CROSS JOIN LATERAL (SELECT (count(DISTINCT s.sample_id) FILTER (WHERE s.state = 'tested'))::int AS tested,
        (count(*) FILTER (WHERE s.series = w.series))::int AS rows,
        (count(*) FILTER (WHERE s.series = w.series AND s.state = 'pending'))::int AS waiting,
        (count(*) FILTER (WHERE s.series = w.series AND s.state <> 'no valid result'))::int AS valid
      FROM sets s WHERE s.specification_id = m.id AND s.released = ${released}) c
    -- The few tests before the first that waits: what the next must reach hangs on them.
    CROSS JOIN LATERAL (
      SELECT json_agg(t ORDER BY t.at, t.label) AS before FROM (
        SELECT s.value, s.sampled_at AS at, s.label FROM sets s
        WHERE s.specification_id = m.id AND s.released = ${released} AND s.series = w.series AND s.state = 'tested'
          AND NOT EXISTS (SELECT FROM sets p WHERE p.specification_id = m.id AND p.released = ${released} AND p.series = w.series
            AND p.state = 'pending' AND (p.sampled_at, p.label) < (s.sampled_at, s.label))
        ORDER BY s.sampled_at DESC, s.label DESC LIMIT 3) t) b`);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return (id: string) => {
    const row = byId.get(id);
    return {
      states: row?.states ?? [],
      governing: row?.governing ?? null,
      taken: row?.taken ?? 0,
      tested: row?.tested ?? 0,
      rows: row?.rows ?? 0,
      waiting: row?.waiting ?? 0,
      valid: row?.valid ?? 0,
      before: (row?.before ?? []).map(
        ({ value, at, label }): SeriesPoint => ({
          id: label,
          label,
          sampledAt: Date.parse(at),
          value,
          state: 'tested',
          engineer: [],
        }),
      ),
    };
  };
}
