import { IsNotEmpty, IsString, IsUUID, MaxLength } from 'class-validator';
import { and, eq, inArray } from 'drizzle-orm';
import { agesWithSample, hasOwnWindow } from '@/core/materials/forms';
import { IsInstant } from '@/core/methods';
import { runs, specimenEvents, specimens } from '@/db/schema';
import { windowsOf } from '../age';
import { defineUseCase, refuseFields, STAFF } from '../use-case';
import { recomputeRun } from './runs';
import { castAtField, sampleAndJob } from './samples';

export class CorrectCastTimeInput {
  @IsUUID() sampleId: string;
  @IsInstant('Moulding finished at') castAt: string;
  @IsNotEmpty({ message: 'Say why it is corrected.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  reason: string;
}

/**
 * Another casting time for all cylinders of a sample, with its reason: their windows move with it, and what was
 * broken already is computed anew, since its age has changed. Refused by the database under a signed report.
 */
export const correctCastTime = defineUseCase({
  name: 'correct cast time',
  roles: STAFF,
  Input: CorrectCastTimeInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    const { sample, job } = await sampleAndJob(tx, input.sampleId);
    const castAt = castAtField(input.castAt, now, sample);
    // Prisms and mortar cubes are no part of this concrete.
    const own = (await tx.select().from(specimens).where(eq(specimens.sampleId, sample.id))).filter(
      ({ form }) => agesWithSample(form),
    );
    if (own.length === 0) refuseFields({ castAt: 'No cylinders have been made of this sample.' });
    const windowOf = await windowsOf(tx, job, sample.id, castAt);
    for (const specimen of own) {
      await tx
        .update(specimens)
        // A window of its own stays.
        .set({
          since: castAt,
          ...(hasOwnWindow(specimen.form) ? {} : windowOf(specimen.ageHours, specimen.form)),
        })
        .where(eq(specimens.id, specimen.id));
    }
    await tx.insert(specimenEvents).values(
      own.map(({ id, since: before }) => ({
        specimenId: id,
        kind: 'note' as const,
        at: now,
        personId: actor.id,
        note: `Casting time corrected from ${before.toISOString()} to ${castAt.toISOString()}: ${input.reason}`,
      })),
    );
    const done = await tx
      .select({ id: runs.id })
      .from(runs)
      .where(
        and(
          inArray(
            runs.specimenId,
            own.map(({ id }) => id),
          ),
          eq(runs.state, 'complete'),
        ),
      );
    for (const run of done) await recomputeRun(context, run.id);
    return { sampleId: sample.id };
  },
});
