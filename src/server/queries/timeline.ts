import { and, asc, eq, inArray, isNull, or } from 'drizzle-orm';
import { readBetween } from '@/core/methods/read-between';
import { findMethod } from '@/core/methods/registry';
import type { TimelineRow, TimelineStep } from '@/core/waits/timeline';
import type { Queryable } from '@/db/client';
import { batches, batchMembers, type jobs, runs, waits } from '@/db/schema';
import { batchLabel } from '../batches';
import { currentReadingsOf, inputOf } from '../readings';
import type { SpecimenView } from './dossier';

/** The specimens of a sample over time, in their order; what was discarded is left out. */
export async function timelineOf(
  db: Queryable,
  own: readonly Pick<SpecimenView, 'id' | 'label' | 'discarded' | 'testedAt'>[],
  { system }: Pick<typeof jobs.$inferSelect, 'system'>,
): Promise<TimelineRow[]> {
  const there = own.filter(({ discarded }) => discarded === null);
  const ids = there.map(({ id }) => id);
  if (ids.length === 0) return [];
  const rows = await db
    .select({ run: runs, batch: batches, member: batchMembers.specimenId })
    .from(runs)
    .leftJoin(batches, eq(batches.id, runs.batchId))
    .leftJoin(batchMembers, eq(batchMembers.batchId, batches.id))
    .where(or(inArray(runs.specimenId, ids), inArray(batchMembers.specimenId, ids)))
    .orderBy(asc(runs.startedAt));
  const current = await currentReadingsOf(db, [...new Set(rows.map(({ run }) => run.id))]);
  const waiting = await db
    .select()
    .from(waits)
    .where(and(inArray(waits.specimenId, ids), isNull(waits.doneAt)))
    .orderBy(asc(waits.opensAt));
  return there.map(({ id, label, testedAt }) => ({
    label,
    steps: rows.flatMap(({ run, batch, member }): TimelineStep[] => {
      const method = findMethod(run.method);
      if (!method || (run.specimenId ?? member) !== id) return [];
      const typed = inputOf(method, system, current.get(run.id) ?? []);
      const span = readBetween(method, typed, batch ? label : undefined);
      if (!span) return [];
      const under = run.state === 'open' && batch !== null;
      return [
        {
          runId: run.id,
          method: run.method,
          what: batch ? `${method.title}, ${batchLabel(batch)}` : method.title,
          from: span.from,
          to: under ? null : span.to,
        },
      ];
    }),
    next:
      testedAt === null
        ? waiting
            .filter(({ specimenId }) => specimenId === id)
            .map(({ what, opensAt, closesAt }) => ({
              what,
              opens: opensAt.getTime(),
              closes: closesAt?.getTime() ?? null,
            }))
        : [],
  }));
}
