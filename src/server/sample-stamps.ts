import { and, desc, eq, inArray, or } from 'drizzle-orm';
import type { EventId, Stamps } from '@/core/clocks';
import { groupBy } from '@/core/group-by';
import { findMethod, METHODS } from '@/core/methods/registry';
import { eventFieldsOf } from '@/core/methods/stamps';
import type { Queryable } from '@/db/client';
import { type jobs, readings, runs } from '@/db/schema';
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
export function stampsInWords(stamps: Stamps): Record<string, string> {
  return Object.fromEntries(
    Object.entries(stamps).map(([event, at]) => [event, new Date(at ?? 0).toISOString()]),
  );
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
