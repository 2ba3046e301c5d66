import { IsBoolean, IsIn } from 'class-validator';
import { LaboratoryDetails, laboratoryText } from '@/core/laboratory/details';
import { STEP_IDS } from '@/core/laboratory/first-steps';
import { settings } from '@/db/schema';
import { SETTING } from '../settings';
import { defineUseCase, MANAGERS } from '../use-case';

/** Who the laboratory is: what is signed keeps the head it was signed with. */
export const describeLaboratory = defineUseCase({
  name: 'describe laboratory',
  roles: MANAGERS,
  Input: LaboratoryDetails,
  async act({ tx, actor, now }, input) {
    await tx
      .insert(settings)
      .values({ key: SETTING.laboratory, value: laboratoryText(input), note: '', by: actor.id, at: now });
    return {};
  },
});

export class LayAsideInput {
  @IsIn(STEP_IDS, { message: 'There is no such step.' }) step: (typeof STEP_IDS)[number];
  @IsBoolean() aside: boolean;
}

/** One of the first steps is not wanted here, or is wanted again. */
export const layStepAside = defineUseCase({
  name: 'lay first step aside',
  roles: MANAGERS,
  Input: LayAsideInput,
  async act({ tx, actor, now }, { step, aside }) {
    await tx.insert(settings).values({
      ...{ key: `${SETTING.step}${step}`, value: aside ? 'aside' : 'open' },
      ...{ note: '', by: actor.id, at: now },
    });
    return {};
  },
});
