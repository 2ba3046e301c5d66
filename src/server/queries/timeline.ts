import { and, asc, eq, inArray, isNull, or } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
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
  // A batch stands with each of its specimens: what was read of it is put together once.
  const read = new Map(
    [...new Map(rows.map(({ run }) => [run.id, run])).values()].flatMap((run) => {
      const method = findMethod(run.method);
      if (!method) return [];
      return [[run.id, { method, typed: inputOf(method, system, current.get(run.id) ?? []) }] as const];
    }),
  );
  const done = groupBy(rows, ({ run, member }) => run.specimenId ?? member);
  const waiting = await db
    .select()
    .from(waits)
    .where(and(inArray(waits.specimenId, ids), isNull(waits.doneAt)))
    .orderBy(asc(waits.opensAt));
  return there.map(({ id, label, testedAt }) => ({
    label,
    steps: (done.get(id) ?? []).flatMap(({ run, batch }): TimelineStep[] => {
      const own = read.get(run.id);
      const span = own && readBetween(own.method, own.typed, batch ? label : undefined);
      if (!span) return [];
      const { title } = own.method;
      const under = run.state === 'open' && batch !== null;
      return [
        {
          runId: run.id,
          method: run.method,
          what: batch ? `${title}, ${batchLabel(batch)}` : title,
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
