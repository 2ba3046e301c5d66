import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import {
  BROKEN_AT,
  CALLIPER,
  DEFECTS,
  FLUSH,
  GAP,
  GUARDED,
  MACHINE,
  MAXIMUM_LOAD,
  OFFSET,
  OPERATOR,
  OUT_OF_MOIST,
  REMARKS,
  SPACERS,
  SURFACE,
  ZERO_AFTER,
  ZEROED,
} from './field-specs';

/** The readings that everything in a press has, apart from its own shape. */
export abstract class InPressInput extends RunInput {
  @EquipmentField(MACHINE)
  machine?: string;

  @EquipmentField(CALLIPER)
  calliper?: string;

  @TextField(SPACERS)
  spacers?: string;

  @ChoiceField(FLUSH)
  flush?: 'yes' | 'no';

  @MeasureField(GAP)
  gap?: string;

  @MeasureField(OFFSET)
  offset?: string;

  @CheckField(ZEROED)
  zeroed?: boolean;

  @CheckField(GUARDED)
  guarded?: boolean;

  @MeasureField(MAXIMUM_LOAD)
  maximumLoad?: string;

  @InstantField(BROKEN_AT)
  testedAt?: string;

  @ChoiceField(ZERO_AFTER)
  zeroAfter?: 'same' | 'off';

  @TextField(OPERATOR)
  operator?: string;

  @TextField(REMARKS)
  remarks?: string;
}

/** The same of a specimen that is kept moist until it is broken. */
export abstract class PressedSpecimenInput extends InPressInput {
  @InstantField(OUT_OF_MOIST)
  outOfMoistAt?: string;

  @ChoiceField(SURFACE)
  surface?: 'moist' | 'dry' | 'field';

  @TextField(DEFECTS)
  defects?: string;
}

/** The names of the readings in a press, the same for every method that shares them. */
export const PRESS_FIELDS = {
  machine: 'machine',
  load: 'maximumLoad',
  at: 'testedAt',
  spacers: 'spacers',
} as const;
