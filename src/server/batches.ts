import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import {
  type Fact,
  type FactSource,
  type MembersTold,
  type TestedBatch,
  type TestedSpecimen,
  usableInput,
} from '@/core/methods';
import { findMethod, methodsFor } from '@/core/methods/registry';
import type { System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  batches,
  batchMembers,
  lots,
  outcomes,
  readings,
  runs,
  samples,
  specifications,
  specimens,
} from '@/db/schema';
import { factsStored } from './facts-stored';
import { currentReadings, inputOf } from './readings';
import { anyOf } from './scope';

/** A batch as it is called: the letters of its method and its number. */
export function batchLabel(batch: { readonly kind: string; readonly number: number }): string {
  return `${findMethod(batch.kind)?.batch?.letters ?? ''}-${String(batch.number).padStart(4, '0')}`;
}

/** The specimens of a batch in order, with what is asked of them. */
export async function batchSpecimens(db: Queryable, batchIds: readonly string[]) {
  if (batchIds.length === 0) return [];
  return db
    .select({
      batchId: batchMembers.batchId,
      specimen: specimens,
      sample: samples,
      lot: lots,
      specification: specifications,
    })
    .from(batchMembers)
    .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .where(anyOf(batchMembers.batchId, batchIds))
    .orderBy(asc(batchMembers.place));
}

/** What a run on a batch is told of it: each of its specimens with what its own test is told before it begins. */
export async function testedBatch(db: Queryable, batchId: string): Promise<TestedBatch> {
  const [batch] = await db.select().from(batches).where(eq(batches.id, batchId));
  const asks = Object.keys((batch && findMethod(batch.kind)?.batch?.facts) ?? {});
  const rows = await batchSpecimens(db, [batchId]);
  return {
    label: batch ? batchLabel(batch) : '',
    seed: batch?.seed ?? 0,
    specimens: rows.map(({ specimen, sample, lot, specification }) => {
      const own = methodsFor(specimen)[0]?.facts ?? {};
      return {
        ...specimenNoun(specimen),
        label: specimen.label,
        facts: factsStored(Object.fromEntries(Object.entries(own).filter(([name]) => asks.includes(name))), {
          asked: specification.asked,
          lot: lot.about,
          sample: sample.about,
          specimen: specimen.about,
        }),
      };
    }),
  };
}

/** What every test is told of a specimen, by its record alone. */
export function specimenNoun({
  label,
  form,
  since,
  ageHours,
}: Pick<typeof specimens.$inferSelect, 'label' | 'form' | 'since' | 'ageHours'>): TestedSpecimen {
  return { label, form, since: since.toISOString(), ...(ageHours ? { ageHours } : {}) };
}

/**
 * The specimens of batches that have no test of their own, with what was read of the drawn ones in any of theirs.
 * @param reads names of readings
 */
export async function membersTold(
  db: Queryable,
  batchIds: readonly string[],
  reads: readonly string[],
): Promise<{ readonly id: string; readonly ids: readonly string[]; readonly told: MembersTold }[]> {
  if (batchIds.length === 0) return [];
  const rows = await db
    .select({ batch: batches, member: batchMembers, label: specimens.label })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
    .where(anyOf(batchMembers.batchId, batchIds))
    .orderBy(desc(batches.madeAt), asc(batchMembers.place));
  const drawn = rows.filter(({ member }) => member.drawn).map(({ member }) => member.specimenId);
  const read = await db
    .selectDistinctOn([runs.specimenId, readings.field], {
      specimenId: runs.specimenId,
      field: readings.field,
      text: readings.text,
    })
    .from(readings)
    .innerJoin(runs, eq(runs.id, readings.runId))
    .where(and(anyOf(runs.specimenId, drawn), inArray(readings.field, [...reads])))
    .orderBy(runs.specimenId, readings.field, desc(readings.seq));
  return [...new Set(rows.map(({ batch }) => batch.id))].map((id) => {
    const own = rows.filter(({ batch }) => batch.id === id);
    return {
      id,
      ids: own.map(({ member }) => member.specimenId),
      told: {
        title: own[0]?.batch.title ?? '',
        members: own.map(({ member, label }) => ({
          label,
          drawn: member.drawn,
          read: Object.fromEntries(
            read.flatMap(({ specimenId, field, text }) =>
              specimenId === member.specimenId && text ? [[field, text]] : [],
            ),
          ),
        })),
      },
    };
  });
}

/** What the newest batch of a specimen, of some kinds, says of it under a name; undefined when it was in none. */
export async function toldByBatch(
  db: Queryable,
  { by = [], take, reads }: FactSource,
  specimen: { readonly id: string; readonly label: string },
  system: System,
): Promise<Fact | undefined> {
  const [found] = await db
    .select({ batch: batches, run: runs })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .leftJoin(runs, eq(runs.batchId, batches.id))
    .where(and(eq(batchMembers.specimenId, specimen.id), inArray(batches.kind, [...by])))
    .orderBy(desc(batches.madeAt))
    .limit(1);
  if (!found) return undefined;
  const { batch, run } = found;
  if (reads) return (await membersTold(db, [batch.id], reads))[0]?.told;
  const method = run ? findMethod(run.method) : undefined;
  if (!run || !method?.batch) return undefined;
  const [last] = await db
    .select({ outcome: outcomes.outcome, setup: outcomes.setup })
    .from(outcomes)
    .where(eq(outcomes.runId, run.id))
    .orderBy(desc(outcomes.seq))
    .limit(1);
  const { input } = usableInput(method, inputOf(method, system, await currentReadings(db, run.id)));
  const remarks = (last?.outcome.findings ?? [])
    .filter(({ severity }) => severity !== 'advice')
    .map(({ remark, message }) => remark ?? message);
  return method.batch.tells(input, { label: specimen.label, batch: batchLabel(batch), remarks }, last?.setup)[
    take
  ];
}
