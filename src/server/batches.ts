import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import {
  type Fact,
  type FactSource,
  type FactSources,
  type Facts,
  type MembersTold,
  type Method,
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
import { currentReadingsOf, inputOf } from './readings';
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

/**
 * What a run on a batch is told of it: each of its specimens with what its own test is told before it begins, and with what
 * other batches say of it.
 */
export async function testedBatch(db: Queryable, batchId: string, system: System): Promise<TestedBatch> {
  const [batch] = await db.select().from(batches).where(eq(batches.id, batchId));
  const asks = (batch && findMethod(batch.kind)?.batch?.facts) ?? {};
  const rows = await batchSpecimens(db, [batchId]);
  const told = await toldOfEach(
    db,
    asks,
    rows.map(({ specimen }) => specimen),
    system,
  );
  return {
    label: batch ? batchLabel(batch) : '',
    seed: batch?.seed ?? 0,
    specimens: rows.map(({ specimen, sample, lot, specification }) => {
      const own = methodsFor(specimen)[0]?.facts ?? {};
      return {
        ...specimenNoun(specimen),
        label: specimen.label,
        facts: {
          ...factsStored(
            Object.fromEntries(Object.entries(own).filter(([name]) => Object.hasOwn(asks, name))),
            {
              asked: specification.asked,
              lot: lot.about,
              sample: sample.about,
              specimen: specimen.about,
            },
          ),
          ...told.get(specimen.id),
        },
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
  role,
}: Pick<typeof specimens.$inferSelect, 'label' | 'form' | 'since' | 'ageHours' | 'role'>): TestedSpecimen {
  return {
    ...{ label, form, since: since.toISOString() },
    ...(ageHours ? { ageHours } : {}),
    ...(role ? { role } : {}),
  };
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
  source: FactSource,
  specimen: Told,
  system: System,
): Promise<Fact | undefined> {
  return (await toldByBatches(db, source, [specimen], system)).get(specimen.id);
}

/** Those of some facts that batches say, for each of some specimens by its id. */
export async function toldOfEach(
  db: Queryable,
  sources: FactSources,
  of: readonly Told[],
  system: System,
): Promise<ReadonlyMap<string, Facts>> {
  const found = new Map<string, Record<string, Fact>>();
  for (const [name, source] of Object.entries(sources)) {
    if (source.of !== 'batch') continue;
    for (const [id, fact] of await toldByBatches(db, source, of, system))
      found.set(id, { ...found.get(id), [name]: fact });
  }
  return found;
}

type Told = Pick<typeof specimens.$inferSelect, 'id' | 'label'>;

/** What the newest batches of specimens, of some kinds, say of each under a name, by its id; nothing of those that were in none. */
async function toldByBatches(
  db: Queryable,
  { by = [], take, reads }: FactSource,
  of: readonly Told[],
  system: System,
): Promise<ReadonlyMap<string, Fact>> {
  if (of.length === 0) return new Map();
  const newest = await db
    .selectDistinctOn([batchMembers.specimenId], { of: batchMembers.specimenId, batch: batches, run: runs })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .leftJoin(runs, eq(runs.batchId, batches.id))
    .where(
      and(
        anyOf(
          batchMembers.specimenId,
          of.map(({ id }) => id),
        ),
        inArray(batches.kind, [...by]),
      ),
    )
    .orderBy(batchMembers.specimenId, desc(batches.madeAt));
  const told = reads ? await membersTold(db, [...new Set(newest.map(({ batch }) => batch.id))], reads) : [];
  const made = reads ? [] : newest.flatMap(({ run }) => run ?? []);
  const ids = [...new Set(made.map(({ id }) => id))];
  const current = await currentReadingsOf(db, ids);
  const last = await lastOutcomes(db, ids);
  const found = new Map<string, Fact>();
  for (const { of: id, batch, run } of newest) {
    const label = of.find((each) => each.id === id)?.label ?? '';
    const method = run ? findMethod(run.method) : undefined;
    const fact = reads
      ? told.find((each) => each.id === batch.id)?.told
      : run && method
        ? saidBy(
            method,
            { label, batch: batchLabel(batch) },
            current.get(run.id) ?? [],
            last.get(run.id),
            system,
          )[take]
        : undefined;
    if (fact !== undefined) found.set(id, fact);
  }
  return found;
}

/** What the run of a batch says of one of its specimens, by its readings so far. */
function saidBy(
  method: Method,
  about: { readonly label: string; readonly batch: string },
  current: Parameters<typeof inputOf>[2],
  last: Last | undefined,
  system: System,
): Facts {
  if (!method.batch) return {};
  const { input } = usableInput(method, inputOf(method, system, current));
  const remarks = (last?.outcome.findings ?? [])
    .filter(({ severity }) => severity !== 'advice')
    .map(({ remark, message }) => remark ?? message);
  return method.batch.tells(input, { ...about, remarks }, last?.setup);
}

type Last = Pick<typeof outcomes.$inferSelect, 'outcome' | 'setup'>;

/** The newest outcomes of runs, by run. */
async function lastOutcomes(db: Queryable, ids: readonly string[]): Promise<ReadonlyMap<string, Last>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .selectDistinctOn([outcomes.runId], {
      runId: outcomes.runId,
      outcome: outcomes.outcome,
      setup: outcomes.setup,
    })
    .from(outcomes)
    .where(anyOf(outcomes.runId, ids))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return new Map(rows.map((row) => [row.runId, row]));
}
