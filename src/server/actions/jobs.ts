import {
  IsIn,
  IsInt,
  IsISO8601,
  IsNotEmpty,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { and, desc, eq, sql } from 'drizzle-orm';
import { type Dimension, measureIn, parseMeasure, type UnitId, unitLabel } from '@/core/quantity';
import { jobs, mixCriteria, mixes, placements } from '@/db/schema';
import { NotFound } from '../errors';
import { defineUseCase, MANAGERS, refuseFields, STAFF, type Transaction } from '../use-case';

const words = (label: string, most = 120) => ({ message: `${label}: at most ${most} characters.` });
const asked = (label: string) => ({ message: `${label} is needed.` });

export class CreateJobInput {
  @IsNotEmpty(asked('Number')) @IsString() @MaxLength(20, words('Number', 20)) number: string;
  @IsNotEmpty(asked('Name')) @IsString() @MaxLength(120, words('Name')) name: string;
  @IsNotEmpty(asked('Owner')) @IsString() @MaxLength(120, words('Owner')) owner: string;
  @IsNotEmpty(asked('Place')) @IsString() @MaxLength(120, words('Place')) location: string;
  @IsNotEmpty(asked('Time zone')) @IsString() zone: string;
  @IsIn(['US', 'SI'], { message: 'System of units: US or SI.' }) system: 'US' | 'SI';
}

/** True for a time zone that the calendar knows. */
function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** A new job. */
export const createJob = defineUseCase({
  name: 'create job',
  roles: MANAGERS,
  Input: CreateJobInput,
  async act({ tx }, input) {
    if (!isZone(input.zone)) {
      refuseFields({ zone: 'Time zone: choose one as Area/City, such as America/New_York.' });
    }
    const taken = await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.number, input.number));
    if (taken.length > 0) refuseFields({ number: `There is a job ${input.number} already.` });
    const [job] = await tx.insert(jobs).values(input).returning({ id: jobs.id });
    return { jobId: job?.id ?? '' };
  },
});

export class CreateMixInput {
  @IsUUID() jobId: string;
  @IsNotEmpty(asked('Code')) @IsString() @MaxLength(30, words('Code', 30)) code: string;
  @IsNotEmpty(asked('What it is for')) @IsString() @MaxLength(120, words('What it is for')) title: string;
  @IsNotEmpty(asked('Specified strength')) @IsString() specifiedStrength: string;
  @IsInt({ message: 'Age: whole days.' })
  @Min(1)
  @Max(365, { message: 'Age: at most 365 days.' })
  ageDays: number;
  @IsOptional() @IsIn(['target', 'maximum']) slumpKind?: 'target' | 'maximum';
  @IsOptional() @IsString() slump?: string;
  @IsOptional() @IsString() temperatureMaximum?: string;
}

/** Normalises typed text to a number with its unit, or refuses it at its field. */
function measureText(
  field: string,
  text: string,
  dimension: Dimension,
  unit: UnitId,
  range: readonly [number, number],
): string {
  const parsed = parseMeasure(text, dimension, unit);
  if (!parsed.ok) return refuseFields({ [field]: parsed.message });
  const { value, unit: own } = parsed.measure;
  const judged = measureIn(parsed.measure, unit).value;
  if (judged.lessThan(range[0]) || judged.greaterThan(range[1])) {
    return refuseFields({
      [field]: `${text} cannot be: between ${range[0]} and ${range[1]} ${unitLabel(unit)}.`,
    });
  }
  return `${value.toFixed()} ${own}`;
}

/** A mix with its criteria. The same code again is a new version: what was specified before stays on record. */
export const createMix = defineUseCase({
  name: 'create mix',
  roles: ['reviewer', 'manager'],
  Input: CreateMixInput,
  async act({ tx }, input) {
    const job = await lockJob(tx, input.jobId);
    const us = job.system === 'US';
    const [newest] = await tx
      .select({ version: mixes.version })
      .from(mixes)
      .where(and(eq(mixes.jobId, job.id), eq(mixes.code, input.code)))
      .orderBy(desc(mixes.version))
      .limit(1);
    if (input.slumpKind && !input.slump) refuseFields({ slump: 'Slump: how much?' });
    const [mix] = await tx
      .insert(mixes)
      .values({
        jobId: job.id,
        code: input.code,
        version: (newest?.version ?? 0) + 1,
        title: input.title,
        specifiedStrength: measureText(
          'specifiedStrength',
          input.specifiedStrength,
          'stress',
          us ? 'psi' : 'MPa',
          us ? [500, 20_000] : [3, 140],
        ),
        ageHours: input.ageDays * 24,
        slumpKind: input.slump ? (input.slumpKind ?? 'target') : null,
        slump: input.slump
          ? measureText('slump', input.slump, 'length', us ? 'in' : 'mm', us ? [0.5, 12] : [10, 300])
          : null,
        temperatureMaximum: input.temperatureMaximum
          ? measureText(
              'temperatureMaximum',
              input.temperatureMaximum,
              'temperature',
              us ? 'degF' : 'degC',
              us ? [40, 120] : [4, 50],
            )
          : null,
      })
      .returning({ id: mixes.id });
    const mixId = mix?.id ?? '';
    await tx.insert(mixCriteria).values(
      (['running-average', 'individual'] as const).map((criterion) => ({
        mixId,
        criterion,
        designation: 'ACI 318',
        edition: 'edition to be named by the project',
      })),
    );
    return { mixId };
  },
});

/** Locks a job's row so that numbers given out under it are not given twice. */
export async function lockJob(tx: Transaction, jobId: string) {
  const [job] = await tx.select().from(jobs).where(eq(jobs.id, jobId)).for('update');
  if (!job) throw new NotFound('This job');
  return job;
}

export class CreatePlacementInput {
  @IsUUID() jobId: string;
  @IsUUID('all', { message: 'Mix: choose one.' }) mixId: string;
  @IsISO8601({ strict: true }, { message: 'Day and time of the placement.' }) placedAt: string;
  @IsNotEmpty(asked('Element')) @IsString() @MaxLength(120, words('Element')) element: string;
  @IsOptional() @IsString() @MaxLength(120, words('Location')) location?: string;
  @IsOptional() @IsString() volume?: string;
}

/** A placement of a mix on a job. */
export const createPlacement = defineUseCase({
  name: 'create placement',
  roles: STAFF,
  Input: CreatePlacementInput,
  async act({ tx }, input) {
    const job = await lockJob(tx, input.jobId);
    const [mix] = await tx
      .select({ id: mixes.id })
      .from(mixes)
      .where(and(eq(mixes.id, input.mixId), eq(mixes.jobId, job.id)));
    if (!mix) refuseFields({ mixId: 'Mix: choose one of this job.' });
    const us = job.system === 'US';
    const volume = input.volume
      ? measureText('volume', input.volume, 'volume', us ? 'yd3' : 'm3', [0, 100_000])
      : null;
    const [last] = await tx
      .select({ number: sql<number>`coalesce(max(${placements.number}), 0)` })
      .from(placements)
      .where(eq(placements.jobId, job.id));
    const [made] = await tx
      .insert(placements)
      .values({
        jobId: job.id,
        mixId: input.mixId,
        number: Number(last?.number ?? 0) + 1,
        placedAt: new Date(input.placedAt),
        element: input.element,
        location: input.location ?? '',
        volume,
      })
      .returning({ id: placements.id });
    return { placementId: made?.id ?? '' };
  },
});
