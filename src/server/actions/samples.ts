import { randomUUID } from 'node:crypto';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { and, eq, sql } from 'drizzle-orm';
import { specimenLabel } from '@/core/identity/labels';
import { batchReadings } from '@/core/interchange';
import type { Material, Stored } from '@/core/material/contract';
import { isMadeOfSample } from '@/core/materials/forms';
import { findMaterial } from '@/core/materials/registry';
import { IsInstant, SAMPLE_KINDS, type SampleKind } from '@/core/methods';
import { MOULD_SIZES, type MouldSize } from '@/core/moulds';
import {
  jobs,
  loads,
  lots,
  plantBatches,
  readings,
  runs,
  samples,
  specifications,
  specimenEvents,
  specimens,
} from '@/db/schema';
import { windowsOf } from '../age';
import { NotFound } from '../errors';
import { newestRevision } from '../run-setup';
import { defineUseCase, refuseFields, STAFF, type Transaction } from '../use-case';
import { projectSample } from '../waits';
import { lockJob, storedFields } from './jobs';

/** How far a clock on a phone may be ahead before a time is taken for a typing mistake. */
const AHEAD_MS = 5 * 60_000;

const DAY_MS = 86_400_000;
/** A placement that is moved keeps its samples and trucks within this many days of what was planned. Our choice. */
const MOVED_DAYS = 30;
/** Core lies in its boxes for years before somebody asks for it. Our choice. */
const BOXED_DAYS = 3650;

/**
 * An instant out of a form; refused at its field when it lies ahead, or too far from what it belongs to.
 * @param near the day it belongs to, in words and as an instant
 */
export function instantField(
  field: string,
  label: string,
  text: string,
  now: Date,
  near?: { readonly what: string; readonly at: Date; readonly days?: number },
): Date {
  const at = new Date(text);
  if (at.getTime() > now.getTime() + AHEAD_MS) refuseFields({ [field]: `${label} lies in the future.` });
  const days = near?.days ?? MOVED_DAYS;
  if (near && Math.abs(at.getTime() - near.at.getTime()) > days * DAY_MS) {
    refuseFields({
      [field]: `${label}: ${text.slice(0, 10)} is more than ${days} days from ${near.what} (${near.at.toISOString().slice(0, 10)}). Check the date.`,
    });
  }
  return at;
}

export class TakeSampleInput {
  /** Made by the device: the same press sent twice is one sample. */
  @IsUUID() clientId: string;
  @IsUUID() lotId: string;
  /** The moment of the press. */
  @IsInstant('Sampled at') sampledAt: string;
  /** What was pressed for: the first portion of a composite still to be completed, or the whole sample. */
  @IsOptional() @IsIn(['first portion', 'whole']) press?: 'first portion' | 'whole';
  @IsOptional() @IsIn(SAMPLE_KINDS, { message: 'Taken for: choose one.' }) kind?: SampleKind;
  @IsOptional() @IsUUID() loadId?: string;
  @IsOptional() @IsString() @MaxLength(40, { message: 'Ticket: at most 40 characters.' }) ticket?: string;
  @IsOptional() @IsString() @MaxLength(40, { message: 'Truck: at most 40 characters.' }) truck?: string;
  /** By the fields of the material. */
  @IsOptional() @IsObject() about?: Record<string, unknown>;
}

/** A sample taken at the truck. Its fresh tests are opened with it, so that their clocks run at once. */
export const takeSample = defineUseCase({
  name: 'take sample',
  roles: STAFF,
  Input: TakeSampleInput,
  async act({ tx, actor, now }, input) {
    const [before] = await tx
      .select({ id: samples.id })
      .from(samples)
      .where(eq(samples.clientId, input.clientId));
    if (before) return { sampleId: before.id };
    const [placement] = await tx.select().from(lots).where(eq(lots.id, input.lotId));
    if (!placement) throw new NotFound('This placement');
    const [mix] = await tx
      .select()
      .from(specifications)
      .where(eq(specifications.id, placement.specificationId));
    const material = mix && findMaterial(mix.material);
    const sampledAt = instantField('sampledAt', 'Sampled at', input.sampledAt, now, {
      what: `the ${material?.words.lot[0] ?? 'lot'}`,
      at: placement.startsAt,
      ...(material?.comesInLoads ? {} : { days: BOXED_DAYS }),
    });
    const job = await lockJob(tx, placement.jobId);
    const [last] = await tx
      .select({ number: sql<number>`coalesce(max(${samples.number}), 0)` })
      .from(samples)
      .where(eq(samples.jobId, job.id));
    const [load] = input.loadId ? await tx.select().from(loads).where(eq(loads.id, input.loadId)) : [];
    if (input.loadId && load?.lotId !== placement.id) throw new NotFound('This load');
    const kind = input.kind ?? 'acceptance';
    const about = material?.Sample ? storedFields(material.Sample, input.about ?? {}, job.system) : {};
    if (material?.sampleProblems) {
      const others = await tx
        .select({ about: samples.about })
        .from(samples)
        .where(eq(samples.lotId, placement.id));
      const wrong = material.sampleProblems(
        about,
        others.map((each) => each.about),
      );
      if (Object.keys(wrong).length > 0) refuseFields(wrong);
    }
    const [sample] = await tx
      .insert(samples)
      .values({
        lotId: placement.id,
        jobId: job.id,
        loadId: load?.id ?? null,
        kind,
        number: Number(last?.number ?? 0) + 1,
        ticket: input.ticket ?? load?.ticket ?? '',
        truck: input.truck ?? load?.truck ?? '',
        sampledAt,
        sampledBy: actor.id,
        clientId: input.clientId,
        about,
      })
      .returning({ id: samples.id });
    const sampleId = sample?.id ?? '';
    const revision = await newestRevision(tx);
    const tests = material?.opens({ ...mix?.asked }, kind) ?? [];
    const opened =
      tests.length === 0
        ? []
        : await tx
            .insert(runs)
            .values(
              tests.map((method) => ({
                method,
                sampleId,
                limitsRevision: revision,
                startedAt: sampledAt,
                startedBy: actor.id,
              })),
            )
            .returning({ id: runs.id, method: runs.method });
    // What the press already says is read in, so that nobody types it again.
    const known: (readonly [string, string, string | null | undefined])[] = [
      ...(material?.readIn?.({
        kind,
        sampledAt: sampledAt.toISOString(),
        press: input.press,
        load: load && { volume: load.volume, arrivedAt: load.arrivedAt.toISOString() },
      }) ?? []),
      ...(await batchFacts(tx, placement.id, load?.ticket)),
    ];
    const rows = known.flatMap(([method, field, text]) => {
      const run = opened.find((each) => each.method === method);
      return run && text
        ? [{ id: randomUUID(), runId: run.id, field, text, takenAt: sampledAt, by: actor.id, savedAt: now }]
        : [];
    });
    if (rows.length > 0) {
      await tx.insert(readings).values(rows);
      await projectSample(tx, sampleId, now);
    }
    return { sampleId };
  },
});

/** What the plant's file says of the load's ticket, as readings of the runs it belongs to. */
async function batchFacts(
  tx: Transaction,
  lotId: string,
  ticket: string | undefined,
): Promise<[string, string, string][]> {
  if (!ticket) return [];
  const [found] = await tx
    .select({ batch: plantBatches.batch })
    .from(plantBatches)
    .where(and(eq(plantBatches.lotId, lotId), eq(plantBatches.ticket, ticket)));
  if (!found) return [];
  return Object.entries(batchReadings(found.batch)).flatMap(([method, fields]) =>
    Object.entries(fields)
      // The load's own volume is read in already.
      .filter(([field]) => field !== 'loadVolume')
      .map(([field, text]) => [method, field, text] as [string, string, string]),
  );
}

export class DescribeSampleInput {
  @IsUUID() sampleId: string;
  @IsOptional() @IsString() @MaxLength(40, { message: 'Ticket: at most 40 characters.' }) ticket?: string;
  @IsOptional() @IsString() @MaxLength(40, { message: 'Truck: at most 40 characters.' }) truck?: string;
  @IsOptional()
  @IsString()
  @MaxLength(2000, { message: 'Remarks: at most 2,000 characters.' })
  remarks?: string;
}

/** Ticket, truck and remarks of a sample. */
export const describeSample = defineUseCase({
  name: 'describe sample',
  roles: STAFF,
  Input: DescribeSampleInput,
  async act({ tx }, { sampleId, ...rest }) {
    const changes = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== undefined));
    if (Object.keys(changes).length === 0) return { sampleId };
    const changed = await tx
      .update(samples)
      .set(changes)
      .where(eq(samples.id, sampleId))
      .returning({ id: samples.id });
    if (changed.length === 0) throw new NotFound('This sample');
    return { sampleId };
  },
});

export class SpecimenGroup {
  /** Designated age in days; absent for specimens held in reserve. */
  @IsOptional()
  @IsInt({ message: 'Age: whole days.' })
  @Min(1, { message: 'Age: at least 1 day.' })
  @Max(365, { message: 'Age: at most 365 days.' })
  ageDays?: number;
  @IsInt({ message: 'Number of specimens: a whole number.' })
  @Min(1, { message: 'At least 1.' })
  @Max(20, { message: 'At most 20 of one age.' })
  count: number;
}

export class MakeSpecimensInput {
  @IsUUID() sampleId: string;
  @IsInstant('Moulding finished at') castAt: string;
  @IsIn(MOULD_SIZES, { message: 'Size: choose one.' }) size: MouldSize;
  /** Where they stand: box and row. */
  @IsOptional() @IsString() @MaxLength(80, { message: 'Place: at most 80 characters.' }) place?: string;
  @IsIn(['standard', 'field'], { message: 'Curing: standard or field.' }) cure: 'standard' | 'field';
  @IsArray()
  @ArrayMinSize(1, { message: 'Add at least one age.' })
  @ArrayMaxSize(8, { message: 'At most eight ages.' })
  @ValidateNested({ each: true })
  @Type(() => SpecimenGroup)
  groups: SpecimenGroup[];
}

/** When moulding was finished: of the day the sample was taken, judged to the minute, as both are shown. */
export function castAtField(text: string, now: Date, sample: { readonly sampledAt: Date }): Date {
  const castAt = instantField('castAt', 'Moulding finished at', text, now, {
    what: 'the sample',
    at: sample.sampledAt,
    days: 2,
  });
  if (minuteOf(castAt) < minuteOf(sample.sampledAt))
    refuseFields({ castAt: 'Specimens cannot be made before the sample was taken.' });
  return castAt;
}

/** Specimens made from a sample, each with its age and its window. Adding more later goes on with the letters. */
export const makeSpecimens = defineUseCase({
  name: 'make specimens',
  roles: STAFF,
  Input: MakeSpecimensInput,
  async act({ tx, actor, now }, input) {
    const { sample, job } = await sampleAndJob(tx, input.sampleId);
    await lockJob(tx, job.id);
    await refuseStrangeForm(tx, sample, input.size, 'size');
    const castAt = castAtField(input.castAt, now, sample);
    // Cores, prisms and mortar cubes have names of their own.
    const made = (
      await tx
        .select({ id: specimens.id, size: specimens.form })
        .from(specimens)
        .where(eq(specimens.sampleId, sample.id))
    ).filter(({ size }) => isMadeOfSample(size));
    const total = input.groups.reduce((sum, group) => sum + group.count, 0);
    if (made.length + total > 26) refuseFields({ groups: 'At most 26 specimens of one sample (A to Z).' });
    const windowOf = await windowsOf(tx, job, sample.id, castAt);
    const rows = input.groups
      .flatMap(({ ageDays, count }) => Array.from({ length: count }, () => ageDays))
      .map((ageDays, index) => {
        const ageHours = ageDays === undefined ? null : ageDays * 24;
        return {
          sampleId: sample.id,
          label: specimenLabel(job.number, sample.number, made.length + index),
          form: input.size,
          about: { cure: input.cure, specifiedStrength: null },
          since: castAt,
          ageHours,
          ...windowOf(ageHours, input.size),
        };
      });
    const saved = await tx
      .insert(specimens)
      .values(rows)
      .returning({ id: specimens.id, label: specimens.label });
    await tx.insert(specimenEvents).values(
      saved.map(({ id }) => ({
        specimenId: id,
        kind: 'moulded' as const,
        at: castAt,
        personId: actor.id,
        place: input.place ?? '',
      })),
    );
    return { labels: saved.map(({ label }) => label) };
  },
});

/** The minute an instant belongs to: times are shown, and so judged, to the minute. */
function minuteOf(at: Date): number {
  return Math.floor(at.getTime() / 60_000);
}

/** The material that a sample is of. */
export async function materialOfSample(
  tx: Transaction,
  sample: { readonly lotId: string },
): Promise<{ readonly material: Material; readonly asked: Stored }> {
  const [found] = await tx
    .select({ material: specifications.material, asked: specifications.asked })
    .from(lots)
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .where(eq(lots.id, sample.lotId));
  const material = findMaterial(found?.material ?? '');
  if (!found || !material) throw new NotFound('This material');
  return { material, asked: { ...found.asked } };
}

/** Refuses a form that specimens of this sample's material do not have, at its field. */
export async function refuseStrangeForm(
  tx: Transaction,
  sample: { readonly lotId: string },
  form: string,
  field: string,
): Promise<void> {
  const {
    material: { forms, title },
  } = await materialOfSample(tx, sample);
  if (!forms.some(({ id }) => id === form))
    refuseFields({ [field]: `${title} has no specimens of this form.` });
}

export async function sampleAndJob(tx: Transaction, sampleId: string) {
  const [found] = await tx
    .select({ sample: samples, job: jobs })
    .from(samples)
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(eq(samples.id, sampleId));
  if (!found) throw new NotFound('This sample');
  return found;
}
