import { and, desc, eq, inArray, lte, sql } from 'drizzle-orm';
import { DateTime } from 'luxon';
import { isLimitId, type LimitChanges } from '@/core/limits';
import { type EquipmentFacts, fieldsOf, findMethod, type RunSetup } from '@/core/methods';
import type { System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  equipment,
  equipmentVerifications,
  jobs,
  limitChanges,
  mixes,
  placements,
  runs,
  samples,
  specimens,
} from '@/db/schema';
import { NotFound } from './errors';

/** The laboratory's changes to the limits register up to a revision; the newest of each entry counts. */
export async function limitChangesAt(
  db: Queryable,
  revision?: number,
): Promise<{ changes: LimitChanges; revision: number }> {
  const rows = await db
    .select()
    .from(limitChanges)
    .where(revision === undefined ? undefined : lte(limitChanges.revision, revision))
    .orderBy(limitChanges.revision);
  const changes: LimitChanges = {};
  for (const row of rows) if (isLimitId(row.limitId)) changes[row.limitId] = row.change;
  return { changes, revision: revision ?? rows.at(-1)?.revision ?? 0 };
}

/**
 * What is known of equipment on a day: the last verification on or before it.
 * @param day calendar date `2031-05-14`
 */
export async function equipmentFacts(
  db: Queryable,
  day: string,
  wanted: { kinds?: readonly string[]; numbers?: readonly string[] } = {},
): Promise<EquipmentFacts[]> {
  const filters = [
    wanted.kinds ? inArray(equipment.kind, [...wanted.kinds]) : undefined,
    wanted.numbers ? inArray(equipment.number, [...wanted.numbers]) : undefined,
  ].filter((filter) => filter !== undefined);
  const owned = await db
    .select()
    .from(equipment)
    .where(and(...filters))
    .orderBy(equipment.number);
  if (owned.length === 0) return [];
  const checks = await db
    .select()
    .from(equipmentVerifications)
    .where(
      and(
        lte(equipmentVerifications.verifiedOn, day),
        inArray(
          equipmentVerifications.equipmentId,
          owned.map(({ id }) => id),
        ),
      ),
    )
    .orderBy(desc(equipmentVerifications.verifiedOn), desc(equipmentVerifications.at));
  return owned.map((item) => {
    const last = checks.find((check) => check.equipmentId === item.id);
    return {
      number: item.number,
      kind: item.kind,
      name: item.name,
      inService: item.inService,
      ...(last ? { verifiedOn: last.verifiedOn } : {}),
      ...(last?.verifiedFrom ? { verifiedFrom: last.verifiedFrom } : {}),
      ...(last?.verifiedTo ? { verifiedTo: last.verifiedTo } : {}),
    };
  });
}

/** Where a run belongs: its job, mix, placement, sample and, when it has one, its specimen. */
export async function runPlace(db: Queryable, runId: string) {
  const [found] = await db
    .select({ run: runs, specimen: specimens, sample: samples, placement: placements, mix: mixes, job: jobs })
    .from(runs)
    .leftJoin(specimens, eq(specimens.id, runs.specimenId))
    .innerJoin(samples, eq(samples.id, sqlSample()))
    .innerJoin(placements, eq(placements.id, samples.placementId))
    .innerJoin(mixes, eq(mixes.id, placements.mixId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(eq(runs.id, runId));
  if (!found) throw new NotFound('This run');
  return found;
}

export type RunPlace = Awaited<ReturnType<typeof runPlace>>;

function sqlSample() {
  return sql`coalesce(${runs.sampleId}, ${specimens.sampleId})`;
}

/**
 * Everything a run is computed with besides its readings.
 * @param input the readings so far: the day of the test decides which verification of the equipment counts
 * @param options.forChoosing every piece of equipment of the kinds the method uses; else only what the readings name
 */
export async function runSetup(
  db: Queryable,
  place: RunPlace,
  input: Readonly<Record<string, unknown>>,
  now: Date,
  options: { forChoosing?: boolean } = {},
): Promise<RunSetup & { system: System }> {
  const { job, mix, sample, specimen, run } = place;
  const method = findMethod(run.method);
  if (!method) throw new NotFound(`The method ${run.method}`);
  const at = input[method.performedAt] ?? now.toISOString();
  const day =
    DateTime.fromISO(String(at), { zone: job.zone }).toISODate() ??
    DateTime.fromJSDate(now, { zone: job.zone }).toISODate() ??
    '';
  const { changes } = await limitChangesAt(db, run.limitsRevision);
  const fields = fieldsOf(method.Input).filter((field) => field.kind === 'equipment');
  const numbers = fields.map((field) => input[field.name]).filter((value) => typeof value === 'string');
  const facts = options.forChoosing
    ? await equipmentFacts(db, day, { kinds: fields.map((field) => field.equipmentKind) })
    : numbers.length > 0
      ? await equipmentFacts(db, day, { numbers })
      : [];
  return {
    system: job.system,
    rounding: job.rounding,
    zone: job.zone,
    limitsRevision: run.limitsRevision,
    limitChanges: changes,
    equipment: facts,
    ...(specimen
      ? {
          specimen: {
            label: specimen.label,
            castAt: specimen.castAt.toISOString(),
            ...(specimen.ageHours ? { ageHours: specimen.ageHours } : {}),
            nominalSize: specimen.size,
            cure: specimen.cure,
            specifiedStrength: mix.specifiedStrength,
            designatedAgeHours: mix.ageHours,
          },
        }
      : {
          sample: {
            label: String(sample.number),
            sampledAt: sample.sampledAt.toISOString(),
            ...(mix.slumpKind && mix.slump ? { slumpKind: mix.slumpKind, slump: mix.slump } : {}),
            ...(mix.temperatureMaximum ? { temperatureMaximum: mix.temperatureMaximum } : {}),
            ...(mix.temperatureMinimum ? { temperatureMinimum: mix.temperatureMinimum } : {}),
          },
        }),
  };
}
