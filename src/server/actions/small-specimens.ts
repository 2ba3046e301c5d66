import { IsIn, IsInt, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { IsInstant } from '@/core/methods';
import type { MouldSize } from '@/core/moulds';
import { windowsOf } from '../age';
import { measureText } from '../measure-text';
import { addNamed, lockedSpecimens } from '../named-specimens';
import { defineUseCase, STAFF } from '../use-case';
import { lockJob } from './jobs';
import { instantField, refuseStrangeForm, sampleAndJob } from './samples';

const KINDS = ['grout prism', 'mortar cube'] as const;
const SIZES: Readonly<Record<(typeof KINDS)[number], Readonly<Record<'US' | 'SI', MouldSize>>>> = {
  'grout prism': { US: 'prism-3.5', SI: 'prism-90' },
  'mortar cube': { US: 'mortar-2', SI: 'mortar-50' },
};

export class RegisterSmallInput {
  @IsUUID() sampleId: string;
  @IsIn(KINDS, { message: 'What: choose one.' }) kind: (typeof KINDS)[number];
  @IsInt({ message: 'How many: a whole number.' })
  @Min(1, { message: 'At least one.' })
  @Max(12, { message: 'At most 12 at once.' })
  count: number;
  @IsInstant('Made at') madeAt: string;
  @IsInt({ message: 'Age: whole days.' })
  @Min(1, { message: 'Age: at least 1 day.' })
  @Max(365, { message: 'Age: at most 365 days.' })
  ageDays: number;
  @IsOptional()
  @IsString()
  @MaxLength(40, { message: 'Strength asked for: at most 40 characters.' })
  specifiedStrength?: string;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Place: at most 80 characters.' }) place?: string;
}

/**
 * Grout prisms and mortar cubes brought to the laboratory with a sample: from here on they have a window, a label and a
 * run in the press. How they were made is not told here.
 */
export const registerSmall = defineUseCase({
  name: 'register prisms or mortar cubes',
  roles: STAFF,
  Input: RegisterSmallInput,
  async act({ tx, actor, now }, input) {
    const { sample, job } = await sampleAndJob(tx, input.sampleId);
    await lockJob(tx, job.id);
    const castAt = instantField('madeAt', 'Made at', input.madeAt, now);
    const size = SIZES[input.kind][job.system];
    await refuseStrangeForm(tx, sample, size, 'kind');
    const windowOf = await windowsOf(tx, job, sample.id, castAt);
    const ageHours = input.ageDays * 24;
    const labels = await addNamed(tx, {
      sample,
      job,
      own: await lockedSpecimens(tx, sample.id),
      count: input.count,
      values: {
        form: size,
        since: castAt,
        ageHours,
        ...windowOf(ageHours, size),
        about: {
          cure: 'standard',
          specifiedStrength: input.specifiedStrength
            ? measureText(
                'specifiedStrength',
                input.specifiedStrength,
                'stress',
                job.system === 'US' ? 'psi' : 'MPa',
                job.system === 'US' ? [100, 20_000] : [0.5, 140],
              )
            : null,
        },
      },
      event: { kind: 'moulded', at: castAt, personId: actor.id, place: input.place ?? '' },
    });
    return { labels };
  },
});
