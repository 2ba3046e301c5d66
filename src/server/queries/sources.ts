import { and, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import { groupBy } from '@/core/group-by';
import { sampleLabel } from '@/core/identity/labels';
import type { Limits } from '@/core/limits';
import type { SourceRule } from '@/core/material/contract';
import type { Picture } from '@/core/methods';
import { readingOfDay } from '@/core/methods/reading-of-day';
import { findMethod } from '@/core/methods/registry';
import type { System } from '@/core/quantity';
import {
  type SeriesOfSource,
  type SheetOfLot,
  type SheetTrend,
  type SourceResult,
  seriesOfSources,
  sheetTrends,
} from '@/core/uniformity';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import {
  followUps,
  jobs,
  lots,
  outcomes,
  people,
  readings,
  runs,
  samples,
  sets,
  specifications,
  specimens,
} from '@/db/schema';
import { anyOf, readableJobs } from '../scope';
import type { Actor } from '../use-case';
import { runViews } from './dossier';
import { followUpsOf } from './follow-ups';
import type { Standing } from './specification';

/** Samples gone into at once, the newest: a year of two a day. */
const RESULTS_SHOWN = 700;

/** The age that is asked for, in hours; the one that is drawn at first where it is none of those that are followed. */
export function ageOf({ ages }: Pick<SourceRule, 'ages'>, asked: string | undefined): number {
  return ages.find((hours) => String(hours) === asked) ?? ages[0] ?? 0;
}

/**
 * Whether the sources of a product stay the same: its results at an age from all jobs in the same units that the reader
 * may read, source by source.
 * @param ageHours one of those the material follows
 */
export async function sourcesOf(
  db: Queryable,
  actor: Actor,
  { mix, job }: Pick<Standing, 'mix' | 'job'>,
  rule: SourceRule,
  { ageHours, limits }: { readonly ageHours: number; readonly limits: Limits },
): Promise<SeriesOfSource[]> {
  return seriesOfSources(await resultsOfSources(db, actor, { mix, job }, rule, { ageHours, limits }), limits);
}

/** The results of the sources of a product at an age, in the order of sampling. */
export async function resultsOfSources(
  db: Queryable,
  actor: Actor,
  { mix, job }: Pick<Standing, 'mix' | 'job'>,
  rule: SourceRule,
  { ageHours, limits }: { readonly ageHours: number; readonly limits: Limits },
): Promise<SourceResult[]> {
  const released = actor.role === 'client';
  const taken = await samplesOfProduct(db, actor, { mix, job }, rule);
  const ids = taken.map(({ sample }) => sample.id);
  const [values, decided, days] = await Promise.all([
    rule.alone ? alone(db, ids, rule, released) : ofSets(db, ids, rule, released),
    released ? [] : followUpsOf(db, anyOf(followUps.sampleId, ids)),
    released ? new Map<string, SourceResult['day']>() : daysOf(db, ids, rule, { system: job.system, limits }),
  ]);
  const decisions = groupBy(decided, ({ sampleId }) => sampleId);
  const at = (sampleId: string, hours: number): string | null => values.get(`${sampleId} ${hours}`) ?? null;
  return taken.flatMap(({ sample, lot, number }): SourceResult[] => {
    const value = at(sample.id, ageHours);
    const early = ageHours > rule.early ? at(sample.id, rule.early) : null;
    if (value === null && early === null) return [];
    return [
      {
        sampleId: sample.id,
        label: sampleLabel(number, sample.number),
        sampledAt: sample.sampledAt.getTime(),
        lotId: lot.id,
        source: sourceOf(lot, rule),
        again: rule.again({ ...sample.about }),
        ...{ value, early },
        decisions: (decisions.get(sample.id) ?? []).map(({ stepId, note, byName }) => ({
          step: stepId,
          words: `${byName}: ${note}`,
        })),
        day: days.get(sample.id) ?? {},
      },
    ];
  });
}

/** Who made a lot and out of which silo, as it is said. */
const sourceOf = ({ about }: { readonly about: object | null }, { of }: Pick<SourceRule, 'of'>): string => {
  const told: Readonly<Record<string, unknown>> = { ...about };
  return of.map((field) => String(told[field] ?? '')).join(', ');
};

/** The newest samples of a product, in the order of sampling, of all jobs in the same units that the reader may read. */
async function samplesOfProduct(
  db: Queryable,
  actor: Actor,
  { mix, job }: Pick<Standing, 'mix' | 'job'>,
  rule: SourceRule,
) {
  const product = String({ ...mix.asked }[rule.product as keyof typeof mix.asked] ?? '');
  const taken = await db
    .select({ sample: samples, lot: lots, number: jobs.number })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, specifications.jobId))
    .where(
      and(
        eq(specifications.material, mix.material),
        eq(jobs.system, job.system),
        sql`${specifications.asked}->>${rule.product} = ${product}`,
        readableJobs(db, actor),
      ),
    )
    .orderBy(desc(samples.sampledAt), desc(samples.number))
    .limit(RESULTS_SHOWN);
  return taken.toReversed();
}

/** What the sheets of the plants of a product say over its lots; for staff only. */
export async function sheetsOfSources(
  db: Queryable,
  actor: Actor,
  standing: Pick<Standing, 'mix' | 'job'>,
  rule: SourceRule,
  limits: Limits,
): Promise<SheetTrend[]> {
  const { sheets } = rule;
  if (!sheets || actor.role === 'client') return [];
  const taken = await samplesOfProduct(db, actor, standing, rule);
  const pictures = await db
    .selectDistinctOn([runs.sampleId], {
      sampleId: runs.sampleId,
      picture: sql<Picture>`${outcomes.outcome} -> 'picture'`,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(
      and(
        anyOf(
          runs.sampleId,
          taken.map(({ sample }) => sample.id),
        ),
        eq(runs.method, sheets.method),
        eq(runs.state, 'complete'),
      ),
    )
    .orderBy(runs.sampleId, desc(outcomes.seq));
  const of = new Map(pictures.map(({ sampleId, picture }) => [sampleId, picture]));
  return sheetTrends(
    taken.flatMap(({ sample, lot, number }): SheetOfLot[] => {
      const picture = of.get(sample.id);
      return picture
        ? [
            {
              ...{ sampleId: sample.id, label: sampleLabel(number, sample.number) },
              ...{ sampledAt: sample.sampledAt.getTime(), source: sourceOf(lot, rule) },
              values: sheets.values(picture),
            },
          ]
        : [];
    }),
    limits,
  );
}

/** What samples came to, by sample and age: `id 168`. */
type Values = ReadonlyMap<string, string>;

/** Of sets of specimens, as they are kept. */
async function ofSets(
  db: Queryable,
  ids: readonly string[],
  { method }: Pick<SourceRule, 'method'>,
  released: boolean,
): Promise<Values> {
  const rows = await db
    .select({ sampleId: sets.sampleId, key: sets.key, value: sets.value })
    .from(sets)
    .where(
      and(
        anyOf(sets.sampleId, ids),
        eq(sets.released, released),
        eq(sets.state, 'tested'),
        isNotNull(sets.value),
        sql`starts_with(${sets.key}, ${`${method}/`})`,
      ),
    );
  return new Map(rows.map(({ sampleId, key, value }) => [`${sampleId} ${key.split('/')[1]}`, value ?? '']));
}

/** Of tests of the sample itself, the newest that counts at each age. */
async function alone(
  db: Queryable,
  sampleIds: readonly string[],
  { method, alone: told }: Pick<SourceRule, 'method' | 'alone'>,
  released: boolean,
): Promise<Values> {
  const views = await runViews(db, { sampleIds }, { detail: 'table', method });
  return new Map(
    views.flatMap((view) => {
      const result = view.outcome?.results.find(({ quantity }) => quantity === told?.quantity);
      const counts =
        view.state === 'complete' &&
        (!released || view.released) &&
        isReportable(view.outcome?.findings ?? []) &&
        result?.provisional === undefined;
      return counts && result
        ? [[`${view.sampleId} ${String(view.input?.[told?.age ?? ''])}`, result.reported] as const]
        : [];
    }),
  );
}

/** Under what samples were tested: what was read on their runs and those of their specimens, and by whom. */
async function daysOf(
  db: Queryable,
  ids: readonly string[],
  { method, day }: Pick<SourceRule, 'method' | 'day'>,
  { system, limits }: { readonly system: System; readonly limits: Limits },
): Promise<ReadonlyMap<string, SourceResult['day']>> {
  const sampleId = sql<string>`coalesce(${runs.sampleId}, ${specimens.sampleId})`;
  const ofSamples = db.select({ id: runs.id }).from(runs).where(anyOf(runs.sampleId, ids));
  const ofSpecimens = db
    .select({ id: runs.id })
    .from(runs)
    .innerJoin(specimens, eq(specimens.id, runs.specimenId))
    .where(anyOf(specimens.sampleId, ids));
  const rows = await db
    .selectDistinctOn([runs.id, readings.field], {
      sampleId,
      seq: readings.seq,
      method: runs.method,
      field: readings.field,
      text: readings.text,
      by: people.name,
    })
    .from(readings)
    .innerJoin(runs, eq(runs.id, readings.runId))
    .innerJoin(people, eq(people.id, runs.startedBy))
    .leftJoin(specimens, eq(specimens.id, runs.specimenId))
    .where(
      and(
        // By their indexes: the readings of all the years are not gone through for it.
        inArray(runs.id, unionAll(ofSamples, ofSpecimens)),
        inArray(runs.method, [...new Set(day.map(([of]) => of))]),
        inArray(readings.field, [...new Set(day.map(([, field]) => field))]),
      ),
    )
    .orderBy(runs.id, readings.field, desc(readings.seq));
  // Of several tests of one sample what was read last.
  const own = groupBy(
    rows.toSorted((one, two) => one.seq - two.seq),
    (row) => row.sampleId,
  );
  return new Map(
    [...own].map(([id, all]) => {
      const said = day.flatMap(([of, field, word]) => {
        const text = all.findLast((row) => row.method === of && row.field === field)?.text;
        const type = findMethod(of)?.Input;
        return text && type ? [[word, readingOfDay(type, field, text, system, limits)] as const] : [];
      });
      const technicians = [
        ...new Set(all.filter((row) => row.method === method).map(({ by }) => by)),
      ].toSorted();
      return [
        id,
        Object.fromEntries([
          ...said,
          ...(technicians.length > 0 ? [['technician', technicians.join(', ')] as const] : []),
        ]),
      ];
    }),
  );
}
