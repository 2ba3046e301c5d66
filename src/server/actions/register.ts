import { IsInt, IsObject, IsOptional, IsString, IsUUID, MaxLength, Min } from 'class-validator';
import { eq } from 'drizzle-orm';
import { sampleLabel } from '@/core/identity/labels';
import type { Registration } from '@/core/material/registration';
import { storedOf } from '@/core/material/stored';
import { findForm, isMadeOfSample } from '@/core/materials/forms';
import { fieldsOf, RunInput } from '@/core/methods';
import { specimenEvents, specimens } from '@/db/schema';
import { Conflict, NotFound, Refused } from '../errors';
import { limitsNow } from '../run-setup';
import { BENCH, defineUseCase, refuseFields, STAFF } from '../use-case';
import { lockJob } from './jobs';
import { instantField, materialOfSample, sampleAndJob } from './samples';

/** Of a way that asks for nothing but their number. */
class Nothing extends RunInput {}

/** The most that one sample can have: labels go on with their numbers. */
const MOST = 200;

export class RegisterSpecimensInput {
  @IsUUID() sampleId: string;
  /** How they come to the sample, by the material. */
  @IsString({ message: 'How: choose one.' }) @MaxLength(40) how: string;
  @IsString({ message: 'Form: choose one.' }) @MaxLength(40) form: string;
  @IsInt({ message: 'How many: a whole number.' })
  @Min(1, { message: 'How many: at least one.' })
  count: number;
  @IsOptional() @IsString() @MaxLength(120, { message: 'Where: at most 120 characters.' }) place?: string;
  /** What is told of all of them, by the fields of the way. */
  @IsOptional() @IsObject() told?: Record<string, unknown>;
}

interface Named {
  readonly label: string;
  readonly role: string | null;
  readonly parentId: string | null;
}

/** Specimens with names of their own: the letter of their form, and a number that goes on. */
function namedAnew(
  role: (before: number) => string | null,
  own: readonly (typeof specimens.$inferSelect)[],
  { form, count }: Pick<RegisterSpecimensInput, 'form' | 'count'>,
): Named[] {
  const letter = findForm(form)?.letter ?? '';
  const before = own.filter((each) => (findForm(each.form)?.letter ?? '') === letter).length;
  return Array.from({ length: count }, (_, index) => ({
    label: `${letter}${before + index + 1}`,
    role: role(own.length + index),
    parentId: null,
  }));
}

/** What is cut out of specimens that are there, whole and of the role; as many of them as are said. */
function cutFrom(
  { from, into }: NonNullable<Registration['cut']>,
  own: readonly (typeof specimens.$inferSelect)[],
  count: number,
): Named[] {
  const parents = own
    .filter(
      ({ id, role, testedAt, discardedAt }) =>
        role === from &&
        testedAt === null &&
        discardedAt === null &&
        !own.some(({ parentId }) => parentId === id),
    )
    .toSorted((a, b) => a.label.length - b.label.length || a.label.localeCompare(b.label));
  if (parents.length < count)
    refuseFields({
      count:
        parents.length === 0
          ? 'How many: none of this sample is left to cut. What each is for says which are.'
          : `How many: ${parents.length} of this sample are left to cut.`,
    });
  return parents
    .slice(0, count)
    .flatMap(({ id, label }) =>
      into.map(({ role, letter }) => ({ label: `${label}${letter}`, role, parentId: id })),
    );
}

/**
 * Specimens with names of their own, `PMF-042-K1`, numbered on from the last of their kind: how they come to a sample says
 * its material.
 */
export const registerSpecimens = defineUseCase({
  name: 'register specimens',
  roles: STAFF,
  Input: RegisterSpecimensInput,
  async act({ tx, actor, now }, input) {
    const { sample, job } = await sampleAndJob(tx, input.sampleId);
    await lockJob(tx, job.id);
    const { material, asked } = await materialOfSample(tx, sample);
    const way = material.registers?.find(({ id }) => id === input.how);
    if (!way) throw new NotFound('This way of registering');
    if (way.bench && !BENCH.includes(actor.role)) throw new Refused('Only the laboratory registers these.');
    if (!way.forms(sample.about, job.system, asked).includes(input.form))
      refuseFields({ form: 'Form: choose one that this sample is of.' });
    const { Input = Nothing } = way;
    const typed = storedOf(Input, input.told ?? {}, job.system);
    // All that is wrong is said at once.
    const wrong: Record<string, string> = typed.ok ? {} : { ...typed.errors };
    if (input.count > way.most) wrong.count = `How many: at most ${way.most} at once.`;
    if (!typed.ok || Object.keys(wrong).length > 0) return refuseFields(wrong);
    const told = typed.value;
    for (const field of fieldsOf(Input))
      if (field.kind === 'instant' && told[field.name])
        instantField(field.name, field.label, String(told[field.name]), now);
    const own = await tx.select().from(specimens).where(eq(specimens.sampleId, sample.id)).for('update');
    if (own.length + input.count * (way.cut?.into.length ?? 1) > MOST)
      refuseFields({ count: `A sample has at most ${MOST} specimens; it has ${own.length}.` });
    const made = own.find(({ form }) => isMadeOfSample(form));
    if (way.afterMade && !made)
      throw new Conflict('This sample has no specimens: its casting time is not known.');
    const limits = await limitsNow(tx, job);
    const registered = way.register(told, {
      form: input.form,
      system: job.system,
      limits,
      sampledAt: sample.sampledAt.getTime(),
      sample: sample.about,
      madeAt: made?.since.getTime(),
    });
    if (!registered.ok) return refuseFields(registered.errors);
    const { since, at, about, ageHours, opensAt, closesAt } = registered.value;
    const role = (before: number): string | null => way.role?.(before, asked, limits) ?? null;
    const named = way.cut ? cutFrom(way.cut, own, input.count) : namedAnew(role, own, input);
    const saved = await tx
      .insert(specimens)
      .values(
        named.map(({ label, role, parentId }) => ({
          sampleId: sample.id,
          parentId,
          label: parentId ? label : `${sampleLabel(job.number, sample.number)}-${label}`,
          form: input.form,
          role,
          about,
          since: new Date(since),
          ageHours: ageHours ?? null,
          opensAt: opensAt === undefined ? null : new Date(opensAt),
          closesAt: closesAt === undefined ? null : new Date(closesAt),
        })),
      )
      .returning({ id: specimens.id, label: specimens.label });
    await tx.insert(specimenEvents).values(
      saved.map(({ id }) => ({
        specimenId: id,
        kind: way.event,
        at: at === undefined ? now : new Date(at),
        personId: actor.id,
        place: input.place ?? '',
      })),
    );
    return { labels: saved.map(({ label }) => label) };
  },
});
