import { IsInt, IsOptional, IsString, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { IsInstant } from '@/core/methods';
import { coreWindow } from '@/core/methods/core-compression';
import { isMouldedConcrete, type MouldSize } from '@/core/moulds';
import { Conflict } from '../errors';
import { addNamed, lockedSpecimens } from '../named-specimens';
import { limitsNow } from '../run-setup';
import { BENCH, defineUseCase, refuseFields } from '../use-case';
import { sampleAndJob } from './samples';

const HOUR = 3_600_000;

export class RegisterCoresInput {
  @IsUUID() sampleId: string;
  @IsInt({ message: 'How many: a whole number.' })
  @Min(1, { message: 'At least one core.' })
  @Max(12, { message: 'At most 12 at once.' })
  count: number;
  @IsInstant('Drilled at') drilledAt: string;
  @IsOptional() @IsString() @MaxLength(120, { message: 'Where: at most 120 characters.' }) location?: string;
}

/**
 * Cores drilled out of the concrete of a sample whose strength test is questioned. Their window counts from the
 * drilling; it closes earlier in truth when they are wetted later, which their run says.
 */
export const registerCores = defineUseCase({
  name: 'register cores',
  roles: BENCH,
  Input: RegisterCoresInput,
  async act({ tx, actor, now }, input) {
    const { sample, job } = await sampleAndJob(tx, input.sampleId);
    const drilledAt = new Date(input.drilledAt);
    if (drilledAt.getTime() > now.getTime() + 60_000)
      refuseFields({ drilledAt: 'Drilled at lies in the future.' });
    const own = await lockedSpecimens(tx, sample.id);
    const first = own.find((each) => isMouldedConcrete(each.form));
    if (!first) throw new Conflict('This sample has no specimens: its casting time is not known.');
    if (drilledAt.getTime() < first.since.getTime())
      refuseFields({ drilledAt: 'Drilled before the concrete was placed.' });
    const size: MouldSize = job.system === 'US' ? 'core-4' : 'core-100';
    const limits = await limitsNow(tx, job);
    const window = coreWindow(input.drilledAt, undefined, {
      dry: limits.number('core.dry', job.system).toNumber(),
      test: limits.number('core.test', job.system).toNumber(),
    });
    const closesAt = window?.closesAt ?? drilledAt.getTime();
    const labels = await addNamed(tx, {
      sample,
      job,
      own,
      count: input.count,
      values: {
        form: size,
        about: { cure: 'field', specifiedStrength: null },
        since: first.since,
        ageHours: Math.round((closesAt - first.since.getTime()) / HOUR),
        opensAt: new Date(window?.opensAt ?? closesAt),
        closesAt: new Date(closesAt),
      },
      event: { kind: 'drilled', at: drilledAt, personId: actor.id, place: input.location ?? '' },
    });
    return { labels };
  },
});
