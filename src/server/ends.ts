import { asc, desc, eq, inArray } from 'drizzle-orm';
import {
  type BatchFacts,
  type EndsFacts,
  isCylinderSize,
  limitsOf,
  type RunSetup,
  usableInput,
} from '@/core/methods';
import { expectedStrength, STRESS_UNIT } from '@/core/methods/press';
import { findMethod } from '@/core/methods/registry';
import { mouldOf } from '@/core/moulds';
import { type Exact, largest, type System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import { batches, batchMembers, lots, outcomes, runs, samples, specifications, specimens } from '@/db/schema';
import { currentReadings, inputOf } from './readings';
import { specifiedFor } from './specified';

/** A batch as it is called: the letters of its method and its number. */
export function batchLabel(batch: { readonly kind: string; readonly number: number }): string {
  return `${findMethod(batch.kind)?.batch?.letters ?? ''}-${String(batch.number).padStart(4, '0')}`;
}

/** What the newest batch of a specimen says of its ends; nothing when it was in none. */
export async function endsFacts(
  db: Queryable,
  specimen: { readonly id: string; readonly label: string },
  job: { readonly system: System; readonly zone: string },
): Promise<Pick<NonNullable<RunSetup['specimen']>, 'ends'>> {
  const [found] = await db
    .select({ batch: batches, run: runs })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .innerJoin(runs, eq(runs.batchId, batches.id))
    .where(eq(batchMembers.specimenId, specimen.id))
    .orderBy(desc(batches.madeAt))
    .limit(1);
  const method = found && findMethod(found.run.method);
  if (!found || !method) return {};
  const readings = await currentReadings(db, found.run.id);
  const [last] = await db
    .select({ outcome: outcomes.outcome, setup: outcomes.setup })
    .from(outcomes)
    .where(eq(outcomes.runId, found.run.id))
    .orderBy(desc(outcomes.seq))
    .limit(1);
  const { input } = usableInput(method, inputOf(method, job.system, readings));
  const told = method.batch?.tells(input, specimen.label, last?.setup);
  if (!told) return {};
  const ends: EndsFacts = {
    ...told,
    batch: batchLabel(found.batch),
    remarks: (last?.outcome.findings ?? [])
      .filter(({ severity }) => severity !== 'advice')
      .map(({ remark, message }) => remark ?? message),
  };
  return { ends };
}

/** The specimens of a batch in order, with what is expected of them. */
export async function batchSpecimens(db: Queryable, batchIds: readonly string[]) {
  if (batchIds.length === 0) return [];
  return db
    .select({
      batchId: batchMembers.batchId,
      specimen: specimens,
      asked: specifications.asked,
    })
    .from(batchMembers)
    .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .where(inArray(batchMembers.batchId, [...batchIds]))
    .orderBy(asc(batchMembers.place));
}

/** What a run on a batch is told of it. */
export async function batchFacts(
  db: Queryable,
  batchId: string,
  system: System,
  setup: RunSetup,
): Promise<BatchFacts> {
  const [batch] = await db.select().from(batches).where(eq(batches.id, batchId));
  const rows = await batchSpecimens(db, [batchId]);
  const expected = rows.map(({ specimen, asked }) =>
    expectedStrength(
      {
        ...setup,
        specimen: {
          ...specifiedFor(specimen, asked),
          ...(specimen.ageHours ? { ageHours: specimen.ageHours } : {}),
        },
      },
      system,
      limitsOf(setup),
    ),
  );
  const known = expected.filter((value): value is Exact => value !== undefined);
  const counts = new Map<string, number>();
  for (const { specimen } of rows) {
    if (!isCylinderSize(specimen.form)) continue;
    const mould = mouldOf(specimen.form);
    const inches = mould.system === 'US' ? mould.across : (Number(mould.across) / 25.4).toFixed(2);
    counts.set(inches, (counts.get(inches) ?? 0) + 1);
  }
  return {
    label: batch ? batchLabel(batch) : '',
    seed: batch?.seed ?? 0,
    specimens: rows.map(({ specimen }) => specimen.label),
    ...(known.length === rows.length && known.length > 0
      ? { expected: `${largest(known).toSignificantDigits(6).toFixed()} ${STRESS_UNIT[system]}` }
      : {}),
    sizes: [...counts].map(([diameter, count]) => `${diameter} in x ${count}`),
  };
}
