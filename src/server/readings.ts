import { desc, eq } from 'drizzle-orm';
import { fieldsOf, type Method } from '@/core/methods';
import type { Queryable } from '@/db/client';
import { readings } from '@/db/schema';

/** The readings of a run in force, the newest of each field. */
export async function currentReadings(db: Queryable, runId: string) {
  return db
    .selectDistinctOn([readings.field])
    .from(readings)
    .where(eq(readings.runId, runId))
    .orderBy(readings.field, desc(readings.seq));
}

/** The readings in force as the input of the method, as typed. */
export function inputOf(
  method: Method,
  system: string,
  current: readonly { field: string; text: string | null }[],
): Record<string, unknown> {
  const kinds = new Map(fieldsOf(method.Input).map((field) => [field.name, field.kind]));
  const pairs = current
    .filter(({ text }) => text !== null)
    .map(({ field, text }) => [field, kinds.get(field) === 'check' ? text === 'true' : text] as const);
  return { system, ...Object.fromEntries(pairs) };
}
