import { and, desc, eq, inArray, isNotNull, lt, ne, or } from 'drizzle-orm';
import type { EventId, Stamps } from '@/core/clocks';
import type { Outcome, SampleFacts } from '@/core/methods';
import { findMethod, METHODS } from '@/core/methods/registry';
import { eventFieldsOf } from '@/core/methods/stamps';
import { specimenClasses } from '@/core/moulds';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import { jobs, outcomes, placements, readings, runs, samples, specimens } from '@/db/schema';
import { groupBy } from './group-by';
import { anyOf } from './scope';

/**
 * The fields that stamp an event, each of its method: of everything that is read, only they are wanted here. Said method
 * by method, so that a run's readings are gone through once and not looked up name by name.
 */
function stampingFields(wanted?: readonly EventId[]) {
  return METHODS.flatMap((method) => {
    const own = [...eventFieldsOf(method.Input)].filter(([event]) => wanted?.includes(event) ?? true);
    return own.length > 0 ? [{ method: method.id, names: own.map(([, name]) => name) }] : [];
  });
}

/**
 * The stamps of the clocks of samples: the newest of every reading that stamps an event, over all runs of a sample; of a
 * test made again, the last attempt's, even before anything was read in it.
 * @param wanted the events that are asked for; absent: all
 * @returns by sample, its instants, ms since the epoch, by event
 */
export async function sampleEvents(
  db: Queryable,
  sampleIds: readonly string[],
  wanted?: readonly EventId[],
): Promise<ReadonlyMap<string, Stamps>> {
  if (sampleIds.length === 0) return new Map();
  const fields = stampingFields(wanted);
  const stamping = or(
    ...fields.map(({ method, names }) => and(eq(runs.method, method), inArray(readings.field, names))),
  );
  const methods = fields.map(({ method }) => method);
  // A run without readings gives a row too: it is what starts a second attempt's clocks afresh.
  const rows = await db
    .selectDistinctOn([runs.sampleId, runs.method, readings.field], {
      sampleId: runs.sampleId,
      method: runs.method,
      field: readings.field,
      text: readings.text,
      attempt: runs.attempt,
    })
    .from(runs)
    .leftJoin(readings, and(eq(readings.runId, runs.id), stamping))
    .where(and(anyOf(runs.sampleId, sampleIds), inArray(runs.method, methods)))
    .orderBy(runs.sampleId, runs.method, readings.field, desc(runs.attempt), desc(readings.seq));
  const runOf = (row: { sampleId: string | null; method: string }) => `${row.sampleId} ${row.method}`;
  const newest = new Map<string, number>();
  for (const row of rows) newest.set(runOf(row), Math.max(row.attempt, newest.get(runOf(row)) ?? 0));
  const bySample = groupBy(rows, ({ sampleId }) => sampleId);
  return new Map(
    sampleIds.map((sampleId) => {
      const stamps: Record<string, number> = {};
      for (const row of bySample.get(sampleId) ?? []) {
        if (newest.get(runOf(row)) !== row.attempt) continue;
        const at = row.text === null ? Number.NaN : Date.parse(row.text);
        const event = eventOf(row.method, row.field);
        if (event && !Number.isNaN(at)) stamps[event] = at;
      }
      return [sampleId, stamps];
    }),
  );
}

/** The event that a field of a method stamps. */
function eventOf(method: string, field: string | null): EventId | undefined {
  const found = findMethod(method);
  if (!found || field === null) return undefined;
  for (const [event, name] of eventFieldsOf(found.Input)) if (name === field) return event;
  return undefined;
}

/** Stamps as a setup holds them, in words. */
function inWords(stamps: Stamps): Record<string, string> {
  return Object.fromEntries(
    Object.entries(stamps).map(([event, at]) => [event, new Date(at ?? 0).toISOString()]),
  );
}

/** The newest outcomes of a sample's completed runs, by method, but for one run. */
async function otherOutcomes(db: Queryable, sampleId: string, runId: string) {
  // All of the sample's, so that the runs of one page ask the same.
  const all = await db
    .selectDistinctOn([outcomes.runId], {
      runId: outcomes.runId,
      method: runs.method,
      attempt: runs.attempt,
      outcome: outcomes.outcome,
      input: outcomes.input,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(eq(runs.sampleId, sampleId))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return all.filter((each) => each.runId !== runId);
}

function reportedOf(outcome: Outcome | undefined, quantity: string): string | undefined {
  const result = outcome?.results.find((each) => each.quantity === quantity);
  const valid = outcome ? isReportable(outcome.findings) : false;
  return result && valid ? `${result.reported} ${result.unit}` : undefined;
}

const AIR_METHODS = ['air-pressure', 'air-volumetric'] as const;

/** The tests of which a run is told what they gave on the load before. */
const COMPARED = ['delivery', 'slump', 'concrete-temperature', ...AIR_METHODS] as const;
type Compared = (typeof COMPARED)[number];

/**
 * The newest outcome of each compared test on an earlier sample of the same placement. All of them in one statement, so
 * that the runs of one page ask the same.
 */
async function onLoadBefore(db: Queryable, sample: typeof samples.$inferSelect) {
  return db
    .selectDistinctOn([runs.method], {
      method: runs.method,
      sampledAt: samples.sampledAt,
      seq: outcomes.seq,
      outcome: outcomes.outcome,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .where(
      and(
        eq(samples.placementId, sample.placementId),
        lt(samples.sampledAt, sample.sampledAt),
        ne(samples.id, sample.id),
        inArray(runs.method, [...COMPARED]),
        isNotNull(runs.completedAt),
      ),
    )
    .orderBy(runs.method, desc(samples.sampledAt), desc(outcomes.seq));
}

const RATIO = 'water-cementitious ratio';

/** The number of a reported value, without its unit. */
function plainOf(reported: string | undefined): string | undefined {
  return reported?.split(' ')[0];
}

/** Alcohol of the newest valid tests of the same mix by the volumetric method, as it was typed. */
async function alcoholOf(db: Queryable, sample: typeof samples.$inferSelect): Promise<string[]> {
  const mix = db
    .select({ id: placements.mixId })
    .from(placements)
    .where(eq(placements.id, sample.placementId));
  const rows = await db
    .select({ input: outcomes.input, outcome: outcomes.outcome, system: jobs.system })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(placements, eq(placements.id, samples.placementId))
    .where(
      and(
        inArray(placements.mixId, mix),
        eq(runs.method, 'air-volumetric'),
        ne(samples.id, sample.id),
        lt(samples.sampledAt, sample.sampledAt),
      ),
    )
    .orderBy(desc(samples.sampledAt), desc(outcomes.seq))
    .limit(8);
  return (
    rows
      .filter(({ outcome }) => reportedOf(outcome, 'air content') !== undefined)
      .map(({ input, system }) => ({ text: String(input.alcohol ?? ''), unit: system === 'US' ? 'pt' : 'L' }))
      .filter(({ text }) => text !== '')
      // As it was typed: without a unit it was in the one of the job.
      .map(({ text, unit }) => (/[a-z]/iu.test(text) ? text : `${text} ${unit}`))
      .slice(0, 3)
  );
}

/** What the rest of a sample's tests, and the load before it, say to one of its runs. */
export async function relatedFacts(
  db: Queryable,
  sample: typeof samples.$inferSelect,
  run: Pick<typeof runs.$inferSelect, 'id' | 'method'>,
): Promise<Partial<SampleFacts>> {
  const others = await otherOutcomes(db, sample.id, run.id);
  const newest = (method: string) =>
    others.filter((each) => each.method === method).toSorted((a, b) => b.attempt - a.attempt)[0];
  const of = (method: string) => newest(method)?.outcome;
  const before = (COMPARED as readonly string[]).includes(run.method) ? await onLoadBefore(db, sample) : [];
  const onBefore = (methods: readonly Compared[], quantity: string) => {
    const [last] = before
      .filter(({ method }) => (methods as readonly string[]).includes(method))
      .toSorted((a, b) => b.sampledAt.getTime() - a.sampledAt.getTime() || b.seq - a.seq);
    return reportedOf(last?.outcome, quantity);
  };
  const events = inWords((await sampleEvents(db, [sample.id])).get(sample.id) ?? {});
  const facts: Record<string, string | undefined> = {
    measuredSlump: reportedOf(of('slump'), 'slump'),
    earlierSlump: run.method === 'slump' ? reportedOf(of('slump'), 'slump') : undefined,
    earlierDensity: run.method === 'density-yield' ? reportedOf(of('density-yield'), 'density') : undefined,
    measuredTemperature:
      run.method === 'slump' ? reportedOf(of('concrete-temperature'), 'concrete temperature') : undefined,
    ratio: run.method === 'slump' ? plainOf(reportedOf(of('delivery'), RATIO)) : undefined,
    previousRatio: run.method === 'slump' ? plainOf(onBefore(['delivery'], RATIO)) : undefined,
    previousSlump: run.method === 'slump' ? onBefore(['slump'], 'slump') : undefined,
    measuredAir: AIR_METHODS.map((method) => reportedOf(of(method), 'air content')).find(Boolean),
    otherAir: [
      ...AIR_METHODS.map((method) => reportedOf(of(method), 'air content')),
      reportedOf(of('density-yield'), 'gravimetric air'),
    ].find(Boolean),
    previousTemperature:
      run.method === 'concrete-temperature'
        ? onBefore(['concrete-temperature'], 'concrete temperature')
        : undefined,
    previousAir: run.method.startsWith('air-') ? onBefore(AIR_METHODS, 'air content') : undefined,
  };
  return {
    events,
    ...(run.method === 'air-volumetric' ? { alcohol: await alcoholOf(db, sample) } : {}),
    specimens: specimenClasses(
      await db
        .select({ size: specimens.size, cure: specimens.cure })
        .from(specimens)
        .where(eq(specimens.sampleId, sample.id)),
    ),
    ...(run.method === 'slump' && newest('slump')?.input.shape === 'shear' ? { earlierSheared: true } : {}),
    ...Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)),
  };
}

/**
 * The instant the age of a sample's specimens counts from: the casting, in the IS school the addition of the water.
 * Source: ASTM C39/C39M, EN 12390-2, IS 516 (from memory).
 */
export async function ageFrom(
  db: Queryable,
  job: Pick<typeof jobs.$inferSelect, 'profile'>,
  sampleId: string,
  castAt: Date,
): Promise<Date> {
  if (job.profile !== 'is') return castAt;
  const batched = (await sampleEvents(db, [sampleId])).get(sampleId)?.batched;
  return batched === undefined ? castAt : new Date(batched);
}
