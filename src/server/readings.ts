import { desc } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import { type Method, typedInput } from '@/core/methods';
import type { Queryable } from '@/db/client';
import { readings } from '@/db/schema';
import { anyOf } from './scope';

/** The readings of a run in force, the newest of each field. */
export async function currentReadings(db: Queryable, runId: string) {
  return (await currentReadingsOf(db, [runId])).get(runId) ?? [];
}

/** The readings of several runs in force, by run. */
export async function currentReadingsOf(db: Queryable, runIds: readonly string[]) {
  const rows =
    runIds.length === 0
      ? []
      : await db
          .selectDistinctOn([readings.runId, readings.field])
          .from(readings)
          .where(anyOf(readings.runId, runIds))
          .orderBy(readings.runId, readings.field, desc(readings.seq));
  return groupBy(rows, ({ runId }) => runId);
}

/** The readings in force as the input of the method, as typed. */
export function inputOf(
  method: Method,
  system: string,
  current: readonly { field: string; text: string | null }[],
): Record<string, unknown> {
  return typedInput(
    method.Input,
    system,
    current.map(({ field, text }) => [field, text] as const),
  );
}
