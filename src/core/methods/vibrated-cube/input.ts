import { ChoiceField, MeasureField } from '../fields';
import { FOUND_FACES, FOUND_FAULTS, LOAD_RATE } from '../mortar-cube/input';
import { PressedSpecimenInput } from '../press';

/** The readings of one 70.6 mm cube of vibrated mortar. */
export class VibratedCubeInput extends PressedSpecimenInput {
  @ChoiceField(FOUND_FAULTS)
  found?: 'sound' | 'corner' | 'voids' | 'other';

  @ChoiceField(FOUND_FACES)
  faces?: 'cast' | 'struck';

  @MeasureField({ ...LOAD_RATE, example: { US: '655', SI: '2.92' } })
  loadingRate?: string;
}
