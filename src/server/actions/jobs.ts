import {
  IsIn,
  IsNotEmpty,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
} from 'class-validator';
import { and, desc, eq, sql } from 'drizzle-orm';
import { criteriaOf, seriesAsked } from '@/core/acceptance';
import { PROFILES, type Profile } from '@/core/limits';
import type { Material } from '@/core/material/contract';
import { storedOf } from '@/core/material/stored';
import type { ConcreteAsked, PlacementAbout } from '@/core/materials/concrete/record';
import { findMaterial, MATERIALS } from '@/core/materials/registry';
import { IsInstant, IsZone } from '@/core/methods';
import { sourceText } from '@/core/working';
import { jobs, lots, requirements, specifications } from '@/db/schema';
import { NotFound } from '../errors';
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

export class CreateSpecificationInput {
  @IsUUID() jobId: string;
  @IsIn(
    MATERIALS.map(({ id }) => id),
    { message: 'Material: choose one.' },
  )
  material: string;
  @IsNotEmpty(asked('Code')) @IsString() @MaxLength(30, words('Code', 30)) code: string;
  @IsNotEmpty(asked('What it is for')) @IsString() @MaxLength(120, words('What it is for')) title: string;
  /** By the fields of the material. */
  @IsObject() asked: Record<string, unknown>;
}

/** What was typed for a material, as it is stored; refuses what cannot be, at its field. */
export function storedFields(
  type: Material['Asked'],
  typed: Readonly<Record<string, unknown>>,
  system: 'US' | 'SI',
): Record<string, unknown> {
  const stored = storedOf(type, typed, system);
  return stored.ok ? stored.value : refuseFields(stored.errors);
}

/** What is asked of a material, with its criteria. The same code again is a new version: what was asked before stays. */
export const createSpecification = defineUseCase({
  name: 'create specification',
  roles: ['reviewer', 'manager'],
  Input: CreateSpecificationInput,
  async act({ tx }, input) {
    const job = await lockJob(tx, input.jobId);
    const material = findMaterial(input.material);
    if (!material) throw new NotFound('This material');
    const problems = material.problems?.(input.asked) ?? {};
    if (Object.keys(problems).length > 0) refuseFields(problems);
    const stored = storedFields(material.Asked, input.asked, job.system);
    const wanted = { ...stored, ...material.derive?.(stored, job.system) };
    const [newest] = await tx
      .select({ version: specifications.version })
      .from(specifications)
      .where(and(eq(specifications.jobId, job.id), eq(specifications.code, input.code)))
      .orderBy(desc(specifications.version))
      .limit(1);
    const [made] = await tx
      .insert(specifications)
      .values({
        jobId: job.id,
        material: material.id,
        code: input.code,
        version: (newest?.version ?? 0) + 1,
        title: input.title,
        // Typed by the material's own class of fields, which has just said that it is so.
        asked: wanted as unknown as ConcreteAsked,
      })
      .returning({ id: specifications.id });
    const specificationId = made?.id ?? '';
    const held = criteriaOf([
      ...material.criteria,
      ...seriesAsked(material.series, wanted).flatMap(({ criteria }) => criteria(job.profile)),
    ]);
    if (held.length > 0)
      await tx.insert(requirements).values(
        held.map(({ id, source }) => ({
          specificationId,
          criterion: id,
          designation: sourceText(source),
          edition:
            source.kind === 'standard'
              ? 'edition to be named by the project'
              : 'the project’s own text decides',
        })),
      );
    return { specificationId };
  },
});

/** Locks a job's row so that numbers given out under it are not given twice. */
export async function lockJob(tx: Transaction, jobId: string) {
  const [job] = await tx.select().from(jobs).where(eq(jobs.id, jobId)).for('update');
  if (!job) throw new NotFound('This job');
  return job;
}

export class CreateLotInput {
  @IsUUID() jobId: string;
  @IsUUID('all', { message: 'Specification: choose one.' }) specificationId: string;
  @IsInstant('Day and time') startsAt: string;
  @IsNotEmpty(asked('Title')) @IsString() @MaxLength(120, words('Title')) title: string;
  /** By the fields of the material. */
  @IsOptional() @IsObject() about?: Record<string, unknown>;
}

/** How far ahead or back a lot is entered, years: older records are brought in, works are planned. Our choice. */
const LOT_YEARS = 10;

function startField(text: string, now: Date): Date {
  const at = new Date(text);
  if (Math.abs(at.getTime() - now.getTime()) > LOT_YEARS * 366 * 86_400_000)
    refuseFields({ startsAt: `The year ${text.slice(0, 4)} cannot be. Check the date.` });
  return at;
}

/** A lot of what a specification asks for: a placement of a mix, a delivery of units. */
export const createLot = defineUseCase({
  name: 'create lot',
  roles: STAFF,
  Input: CreateLotInput,
  async act({ tx, now }, input) {
    const job = await lockJob(tx, input.jobId);
    const [specification] = await tx
      .select({ id: specifications.id, material: specifications.material })
      .from(specifications)
      .where(and(eq(specifications.id, input.specificationId), eq(specifications.jobId, job.id)));
    const material = specification && findMaterial(specification.material);
    if (!material) return refuseFields({ specificationId: 'Specification: choose one of this job.' });
    const about = storedFields(material.Lot, input.about ?? {}, job.system);
    const problems = material.lotProblems?.(about) ?? {};
    if (Object.keys(problems).length > 0) refuseFields(problems);
    const [last] = await tx
      .select({ number: sql<number>`coalesce(max(${lots.number}), 0)` })
      .from(lots)
      .where(eq(lots.jobId, job.id));
    const [made] = await tx
      .insert(lots)
      .values({
        jobId: job.id,
        specificationId: specification.id,
        number: Number(last?.number ?? 0) + 1,
        startsAt: startField(input.startsAt, now),
        title: input.title,
        about: about as unknown as PlacementAbout,
      })
      .returning({ id: lots.id });
    return { lotId: made?.id ?? '' };
  },
});
