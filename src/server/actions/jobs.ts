import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { and, desc, eq, sql } from 'drizzle-orm';
import { PROFILES, type Profile } from '@/core/limits';
import {
  EXPOSURES,
  type Exposure,
  IsInstant,
  IsZone,
  RATIO_RANGE,
  SLUMP_CLASSES,
  type SlumpClass,
  SPECIFIED,
  type SpecifiedName,
} from '@/core/methods';
import { jobs, mixCriteria, mixes, placements } from '@/db/schema';
import { NotFound } from '../errors';
import { measureText } from '../measure-text';
import { defineUseCase, MANAGERS, refuseFields, STAFF, type Transaction } from '../use-case';

const words = (label: string, most = 120) => ({ message: `${label}: at most ${most} characters.` });
const asked = (label: string) => ({ message: `${label} is needed.` });

export class CreateJobInput {
  /** Stands in every label, bar code and file name. */
  @Matches(/^[A-Za-z0-9][A-Za-z0-9._-]*$/, {
    message: 'Number: letters A to Z, digits, points and dashes; it stands in every label and bar code.',
  })
  @MaxLength(20, words('Number', 20))
  number: string;
  @IsNotEmpty(asked('Name')) @IsString() @MaxLength(120, words('Name')) name: string;
  @IsNotEmpty(asked('Owner')) @IsString() @MaxLength(120, words('Owner')) owner: string;
  @IsNotEmpty(asked('Place')) @IsString() @MaxLength(120, words('Place')) location: string;
  @IsZone('Time zone') zone: string;
  @IsIn(['US', 'SI'], { message: 'System of units: US or SI.' }) system: 'US' | 'SI';
  @IsOptional() @IsIn(PROFILES, { message: 'School: choose one.' }) profile?: Profile;
}

/** A new job. */
export const createJob = defineUseCase({
  name: 'create job',
  roles: MANAGERS,
  Input: CreateJobInput,
  async act({ tx }, input) {
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
  @IsOptional() @IsIn(SLUMP_CLASSES, { message: 'Slump class: choose one.' }) slumpClass?: SlumpClass;
  @IsOptional() @IsString() slumpFlow?: string;
  @IsOptional() @IsString() aggregate?: string;
  @IsOptional() @IsString() air?: string;
  @IsOptional() @IsIn(EXPOSURES, { message: 'Exposure: choose one.' }) exposure?: Exposure;
  @IsOptional()
  @IsIn(['pressure', 'volumetric'], { message: 'Air method: choose one.' })
  airMethod?: 'pressure' | 'volumetric';
  @IsOptional() @IsString() aggregateFactor?: string;
  /** The project permits the reduced air of concrete above the limit of strength. */
  @IsOptional() @IsBoolean() airReduced?: boolean;
  @IsOptional() @IsString() density?: string;
  @IsOptional() @IsString() waterRatio?: string;
  @IsOptional() @IsString() cementitious?: string;
  @IsOptional() @IsString() water?: string;
  @IsOptional() @IsBoolean() bleedsLittle?: boolean;
}

type SpecifiedField = Exclude<SpecifiedName, 'specifiedStrength'>;
const SPECIFIED_FIELDS = (Object.keys(SPECIFIED) as SpecifiedName[]).filter(
  (name): name is SpecifiedField => name !== 'specifiedStrength',
);

function specified(input: CreateMixInput, field: SpecifiedName, system: 'US' | 'SI'): string | null {
  const text = input[field];
  if (!text) return null;
  const { dimension, [system]: usual } = SPECIFIED[field];
  return measureText(field, text, dimension, usual[0], [usual[1], usual[2]]);
}

function ratioText(text: string | undefined): string | null {
  if (!text) return null;
  const plain = text.trim().replace(',', '.');
  const ratio = Number(plain);
  if (!/^[01]?\.\d{1,3}$/u.test(plain) || ratio < RATIO_RANGE[0] || ratio > RATIO_RANGE[1])
    refuseFields({ waterRatio: 'Water-cementitious ratio: as 0.45.' });
  return plain.startsWith('.') ? `0${plain}` : plain;
}

/** A mix with its criteria. The same code again is a new version: what was specified before stays on record. */
export const createMix = defineUseCase({
  name: 'create mix',
  roles: ['reviewer', 'manager'],
  Input: CreateMixInput,
  async act({ tx }, input) {
    const job = await lockJob(tx, input.jobId);
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
        specifiedStrength: specified(input, 'specifiedStrength', job.system) ?? '',
        ageHours: input.ageDays * 24,
        slumpKind: input.slump ? (input.slumpKind ?? 'target') : null,
        ...(Object.fromEntries(
          SPECIFIED_FIELDS.map((field) => [field, specified(input, field, job.system)]),
        ) as Record<SpecifiedField, string | null>),
        slumpClass: input.slumpClass ?? null,
        exposure: input.exposure ?? null,
        airMethod: input.airMethod ?? (input.air || input.exposure ? 'pressure' : null),
        airReduced: input.airReduced ?? false,
        waterRatio: ratioText(input.waterRatio),
        bleedsLittle: input.bleedsLittle ?? false,
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
  @IsInstant('Day and time of the placement') placedAt: string;
  @IsNotEmpty(asked('Element')) @IsString() @MaxLength(120, words('Element')) element: string;
  @IsOptional() @IsString() @MaxLength(120, words('Location')) location?: string;
  @IsOptional() @IsString() volume?: string;
  /** Slab, or one face of a wall. */
  @IsOptional() @IsString() area?: string;
  /** Least dimension of the section. */
  @IsOptional() @IsString() section?: string;
}

/** How far ahead or back a placement is entered, years: older records are brought in, works are planned. Our choice. */
const PLACED_YEARS = 10;

function placedAtField(text: string, now: Date): Date {
  const at = new Date(text);
  if (Math.abs(at.getTime() - now.getTime()) > PLACED_YEARS * 366 * 86_400_000)
    refuseFields({
      placedAt: `Day of the placement: the year ${text.slice(0, 4)} cannot be. Check the date.`,
    });
  return at;
}

/** A placement of a mix on a job. */
export const createPlacement = defineUseCase({
  name: 'create placement',
  roles: STAFF,
  Input: CreatePlacementInput,
  async act({ tx, now }, input) {
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
        placedAt: placedAtField(input.placedAt, now),
        element: input.element,
        location: input.location ?? '',
        volume,
        area: input.area ? measureText('area', input.area, 'area', us ? 'ft2' : 'm2', [0, 1_000_000]) : null,
        section: input.section
          ? measureText('section', input.section, 'length', us ? 'in' : 'mm', us ? [1, 1000] : [25, 25_000])
          : null,
      })
      .returning({ id: placements.id });
    return { placementId: made?.id ?? '' };
  },
});
