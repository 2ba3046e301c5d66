import { asc, desc, eq, inArray } from 'drizzle-orm';
import { type BatchFacts, type EndsFacts, isCylinderSize, limitsOf, type RunSetup } from '@/core/methods';
import { capTime } from '@/core/methods/capping';
import { groundRows } from '@/core/methods/end-grinding';
import { expectedStrength, STRESS_UNIT } from '@/core/methods/press';
import { findMethod } from '@/core/methods/registry';
import { mouldOf } from '@/core/moulds';
import { type Exact, largest, type System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  endBatches,
  endBatchSpecimens,
  mixes,
  outcomes,
  placements,
  runs,
  samples,
  specimens,
} from '@/db/schema';
import { currentReadings } from './readings';
import { specifiedFor } from './specified';

/** A batch of ends as it is called: caps CB, ground ends GB. */
export function batchLabel(batch: {
  readonly kind: 'capping' | 'end-grinding';
  readonly number: number;
}): string {
  return `${batch.kind === 'capping' ? 'CB' : 'GB'}-${String(batch.number).padStart(4, '0')}`;
}

/** What the newest batch of a specimen says of its ends; nothing when it was in none. */
export async function endsFacts(
  db: Queryable,
  specimen: { readonly id: string; readonly label: string },
  job: { readonly system: System; readonly zone: string },
): Promise<Pick<NonNullable<RunSetup['specimen']>, 'ends'>> {
  const [found] = await db
    .select({ batch: endBatches, run: runs })
    .from(endBatchSpecimens)
    .innerJoin(endBatches, eq(endBatches.id, endBatchSpecimens.batchId))
    .innerJoin(runs, eq(runs.batchId, endBatches.id))
    .where(eq(endBatchSpecimens.specimenId, specimen.id))
    .orderBy(desc(endBatches.madeAt))
    .limit(1);
  const method = found && findMethod(found.run.method);
  if (!found || !method) return {};
  const readings = await currentReadings(db, found.run.id);
  const text = (field: string): string | undefined =>
    readings.find((reading) => reading.field === field)?.text ?? undefined;
  const finishedAt = text(method.performedAt);
  if (!finishedAt) return {};
  const [outcome] = await db
    .select({ outcome: outcomes.outcome, setup: outcomes.setup, input: outcomes.input })
    .from(outcomes)
    .where(eq(outcomes.runId, found.run.id))
    .orderBy(desc(outcomes.seq))
    .limit(1);
  const own =
    method.id === 'capping'
      ? capTime(
          {
            system: job.system,
            ...Object.fromEntries(
              (['pours', 'firstCapAt', 'lastCapAt'] as const).flatMap((field) =>
                text(field) ? [[field, text(field)]] : [],
              ),
            ),
          },
          { zone: job.zone },
          specimen.label,
        )
      : undefined;
  const lot = outcome?.setup.equipment?.find(({ number }) => number === outcome.input.lot);
  const ground =
    found.batch.kind === 'end-grinding'
      ? groundRows(text('found'), job.system).find(({ label }) => label === specimen.label)
      : undefined;
  const ends: EndsFacts = {
    kind: found.batch.kind === 'end-grinding' ? 'ground' : text('kind') === 'gypsum' ? 'gypsum' : 'sulfur',
    batch: batchLabel(found.batch),
    finishedAt: own ?? finishedAt,
    ...(lot?.strength ? { compound: lot.strength } : {}),
    ...(lot?.compound ? { qualified: lot.compound } : {}),
    ...(ground?.length ? { length: `${ground.length.toFixed()} ${job.system === 'US' ? 'in' : 'mm'}` } : {}),
    remarks: (outcome?.outcome.findings ?? [])
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
      batchId: endBatchSpecimens.batchId,
      specimen: specimens,
      mix: { specifiedStrength: mixes.specifiedStrength, ageHours: mixes.ageHours },
    })
    .from(endBatchSpecimens)
    .innerJoin(specimens, eq(specimens.id, endBatchSpecimens.specimenId))
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(placements, eq(placements.id, samples.placementId))
    .innerJoin(mixes, eq(mixes.id, placements.mixId))
    .where(inArray(endBatchSpecimens.batchId, [...batchIds]))
    .orderBy(asc(endBatchSpecimens.place));
}

/** What a run on a batch is told of it. */
export async function batchFacts(
  db: Queryable,
  batchId: string,
  system: System,
  setup: RunSetup,
): Promise<BatchFacts> {
  const [batch] = await db.select().from(endBatches).where(eq(endBatches.id, batchId));
  const rows = await batchSpecimens(db, [batchId]);
  const expected = rows.map(({ specimen, mix }) =>
    expectedStrength(
      {
        ...setup,
        specimen: {
          ...specifiedFor(specimen, mix),
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
    if (!isCylinderSize(specimen.size)) continue;
    const mould = mouldOf(specimen.size);
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
