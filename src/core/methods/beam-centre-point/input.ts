import { type Gap, gapAt } from '../beam/field-specs';
import { BeamInput } from '../beam/input';
import { ChoiceField } from '../fields';

/** The readings of a beam loaded in the middle. */
export class BeamCentrePointInput extends BeamInput {
  @ChoiceField(gapAt('gapLoad'))
  gapLoad?: Gap;
}
