import { and, desc, eq, inArray, isNotNull, lt, ne } from 'drizzle-orm';
import type { Stamps } from '@/core/clocks';
import { fieldsOf, findMethod, type Outcome, type SampleFacts } from '@/core/methods';
import type { Queryable } from '@/db/client';
import { outcomes, readings, runs, samples } from '@/db/schema';

/**
 * The stamps of the clocks of samples: the newest of every reading that stamps an event, over all runs of a sample; of a
 * test made again, the last attempt's, even before anything was read in it.
 * @returns by sample, its instants, ms since the epoch, by event
 */
export async function sampleEvents(
  db: Queryable,
  sampleIds: readonly string[],
): Promise<ReadonlyMap<string, Stamps>> {
  if (sampleIds.length === 0) return new Map();
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
    .leftJoin(readings, eq(readings.runId, runs.id))
    .where(inArray(runs.sampleId, [...sampleIds]))
    .orderBy(runs.sampleId, runs.method, readings.field, desc(runs.attempt), desc(readings.seq));
  const runOf = (row: { sampleId: string | null; method: string }) => `${row.sampleId} ${row.method}`;
  const newest = new Map<string, number>();
  for (const row of rows) newest.set(runOf(row), Math.max(row.attempt, newest.get(runOf(row)) ?? 0));
  return new Map(
    sampleIds.map((sampleId) => {
      const stamps: Record<string, number> = {};
      for (const row of rows) {
        if (row.sampleId !== sampleId || newest.get(runOf(row)) !== row.attempt) continue;
        const method = findMethod(row.method);
        const field = method && fieldsOf(method.Input).find((each) => each.name === row.field);
        if (field?.kind !== 'instant' || !field.event || row.text === null) continue;
        const at = Date.parse(row.text);
        if (!Number.isNaN(at)) stamps[field.event] = at;
      }
      return [sampleId, stamps];
    }),
  );
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
  const events = inWords((await sampleEvents(db, [sample.id])).get(sample.id) ?? {});
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
