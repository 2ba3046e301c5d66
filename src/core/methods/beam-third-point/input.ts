import { type Gap, gapAt } from '../beam/field-specs';
import { BeamInput } from '../beam/input';
import { ChoiceField } from '../fields';

/** The readings of a beam loaded at the third points. */
export class BeamThirdPointInput extends BeamInput {
  @ChoiceField(gapAt('gapLoadLeft'))
  gapLoadLeft?: Gap;

  @ChoiceField(gapAt('gapLoadRight'))
  gapLoadRight?: Gap;
}
