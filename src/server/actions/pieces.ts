import { IsInt, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { addNamed, lockedSpecimens } from '../named-specimens';
import { defineUseCase, refuseFields, STAFF } from '../use-case';
import { lockJob } from './jobs';
import { materialOfSample, sampleAndJob } from './samples';

/** The most that one sample can have: labels go on with their numbers. */
const MOST = 200;

export class RegisterPiecesInput {
  @IsUUID() sampleId: string;
  @IsString({ message: 'Form: choose one.' }) form: string;
  @IsInt({ message: 'How many: a whole number.' })
  @Min(1, { message: 'At least one.' })
  @Max(60, { message: 'At most 60 at once.' })
  count: number;
  @IsOptional() @IsString() @MaxLength(120, { message: 'Where: at most 120 characters.' }) place?: string;
}

/** Pieces of a sample as they are, each with a label: what is taken is not made, and has no age. */
export const registerPieces = defineUseCase({
  name: 'register pieces',
  roles: STAFF,
  Input: RegisterPiecesInput,
  async act({ tx, actor, now }, input) {
    const { sample, job } = await sampleAndJob(tx, input.sampleId);
    await lockJob(tx, job.id);
    const forms = (await materialOfSample(tx, sample)).pieces?.(sample.about) ?? [];
    if (!forms.includes(input.form)) refuseFields({ form: 'Form: choose one that this sample is of.' });
    const own = await lockedSpecimens(tx, sample.id);
    if (own.length + input.count > MOST)
      refuseFields({ count: `A sample has at most ${MOST} specimens; it has ${own.length}.` });
    const labels = await addNamed(tx, {
      sample,
      job,
      own,
      count: input.count,
      values: { form: input.form, since: sample.sampledAt, about: {} },
      event: { kind: 'received', at: now, personId: actor.id, place: input.place ?? '' },
    });
    return { labels };
  },
});
