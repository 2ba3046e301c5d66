import { and, desc, eq, inArray, isNotNull, lt, ne, sql } from 'drizzle-orm';
import type { Stamps } from '@/core/clocks';
import { fieldsOf, findMethod, type Outcome, type SampleFacts } from '@/core/methods';
import type { Queryable } from '@/db/client';
import { outcomes, readings, runs, samples } from '@/db/schema';

/**
 * The stamps of a sample's clock: the newest of every reading that stamps an event, over all runs of the sample; of a
 * test made again, the last attempt's.
 * @returns instants, ms since the epoch, by event
 */
export async function sampleEvents(db: Queryable, sampleId: string): Promise<Stamps> {
  const rows = await db
    .selectDistinctOn([runs.method, readings.field], {
      method: runs.method,
      field: readings.field,
      text: readings.text,
      attempt: runs.attempt,
    })
    .from(readings)
    .innerJoin(runs, eq(runs.id, readings.runId))
    .where(eq(runs.sampleId, sampleId))
    .orderBy(runs.method, readings.field, desc(runs.attempt), desc(readings.seq));
  const latest = await db
    .select({ method: runs.method, attempt: sql<number>`max(${runs.attempt})` })
    .from(runs)
    .where(eq(runs.sampleId, sampleId))
    .groupBy(runs.method);
  const stamps: Record<string, number> = {};
  for (const { method: id, field: name, text, attempt } of rows) {
    const method = findMethod(id);
    const field = method && fieldsOf(method.Input).find((each) => each.name === name);
    // A second attempt starts with clocks of its own.
    const newest = latest.find((each) => each.method === id)?.attempt;
    if (field?.kind !== 'instant' || !field.event || text === null || Number(newest) !== attempt) continue;
    const at = Date.parse(text);
    if (!Number.isNaN(at)) stamps[field.event] = at;
  }
  return stamps;
}

/** Stamps as a setup holds them, in words. */
function inWords(stamps: Stamps): Record<string, string> {
  return Object.fromEntries(
    Object.entries(stamps).map(([event, at]) => [event, new Date(at ?? 0).toISOString()]),
  );
}

/** The newest outcomes of a sample's completed runs, by method, but for one run. */
async function otherOutcomes(db: Queryable, sampleId: string, runId: string) {
  return db
    .selectDistinctOn([outcomes.runId], {
      runId: outcomes.runId,
      method: runs.method,
      attempt: runs.attempt,
      outcome: outcomes.outcome,
      input: outcomes.input,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(and(eq(runs.sampleId, sampleId), ne(runs.id, runId)))
    .orderBy(outcomes.runId, desc(outcomes.seq));
}

function reportedOf(outcome: Outcome | undefined, quantity: string): string | undefined {
  const result = outcome?.results.find((each) => each.quantity === quantity);
  const valid = outcome?.findings.every(({ severity }) => severity !== 'invalid') ?? false;
  return result && valid ? `${result.reported} ${result.unit}` : undefined;
}

/** A quantity's newest reported value on an earlier sample of the same placement. */
async function onLoadBefore(
  db: Queryable,
  sample: typeof samples.$inferSelect,
  methods: readonly string[],
  quantity: string,
): Promise<string | undefined> {
  const [before] = await db
    .select({ outcome: outcomes.outcome })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .where(
      and(
        eq(samples.placementId, sample.placementId),
        lt(samples.sampledAt, sample.sampledAt),
        ne(samples.id, sample.id),
        inArray(runs.method, [...methods]),
        isNotNull(runs.completedAt),
      ),
    )
    .orderBy(desc(samples.sampledAt), desc(outcomes.seq))
    .limit(1);
  return reportedOf(before?.outcome, quantity);
}

const AIR_METHODS = ['air-pressure', 'air-volumetric'] as const;

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
  const events = inWords(await sampleEvents(db, sample.id));
  const facts: Record<string, string | undefined> = {
    measuredSlump: reportedOf(of('slump'), 'slump'),
    earlierSlump: run.method === 'slump' ? reportedOf(of('slump'), 'slump') : undefined,
    measuredAir: AIR_METHODS.map((method) => reportedOf(of(method), 'air content')).find(Boolean),
    otherAir: [
      ...AIR_METHODS.map((method) => reportedOf(of(method), 'air content')),
      reportedOf(of('density-yield'), 'gravimetric air'),
    ].find(Boolean),
    previousTemperature:
      run.method === 'concrete-temperature'
        ? await onLoadBefore(db, sample, ['concrete-temperature'], 'concrete temperature')
        : undefined,
    previousAir: run.method.startsWith('air-')
      ? await onLoadBefore(db, sample, AIR_METHODS, 'air content')
      : undefined,
  };
  return {
    events,
    ...(run.method === 'slump' && newest('slump')?.input.shape === 'shear' ? { earlierSheared: true } : {}),
    ...Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)),
  };
}
