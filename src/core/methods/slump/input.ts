import {
  CheckField,
  ChoiceField,
  CountsField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { lengthSpec, SECONDS, STROKES } from '../specs';

/** The readings of one slump test, in the order they are taken. */
export class SlumpInput extends RunInput {
  @EquipmentField({ label: 'Slump mould', equipmentKind: 'slump mould', example: 'CONE-1' })
  mould?: string;

  @InstantField({ label: 'Fill started', event: 'slump-fill', example: '2031-05-14T09:32:40-04:00' })
  fillStartedAt?: string;

  @MeasureField({
    label: 'Started after the sample',
    insteadOf: ['slump-fill'],
    help: 'By stopwatch, when it was not stamped: minutes and seconds, as 3:20.',
    ...SECONDS,
    example: '',
  })
  startDelay?: string;

  @CheckField({ label: 'Layers and strokes as the method asks', help: 'Each layer into the one below.' })
  layers?: boolean;

  @CountsField(STROKES)
  strokes?: string;

  @CheckField({ label: 'Wet-sieved', help: 'The larger stones taken out over the sieve of the method.' })
  wetSieved?: boolean;

  @InstantField({ label: 'Struck off', event: 'slump-struck', example: '2031-05-14T09:34:20-04:00' })
  struckAt?: string;

  @InstantField({ label: 'Lift started', event: 'lift-start', example: '2031-05-14T09:34:35-04:00' })
  liftStartedAt?: string;

  @InstantField({ label: 'Lift ended', event: 'lift-end', example: '2031-05-14T09:34:40-04:00' })
  liftEndedAt?: string;

  @MeasureField({
    label: 'Lift',
    insteadOf: ['lift-start', 'lift-end'],
    help: 'By stopwatch, when it was not stamped: seconds to raise the mould.',
    ...SECONDS,
    example: '',
  })
  liftTime?: string;

  @MeasureField({
    label: 'Fill start to mould off',
    insteadOf: ['slump-fill', 'lift-end'],
    help: 'By stopwatch, when it was not stamped: minutes and seconds, as 2:05.',
    ...SECONDS,
    example: '',
  })
  totalTime?: string;

  @ChoiceField({
    label: 'Shape',
    required: true,
    options: [
      { value: 'true', label: 'True', drawing: 'slump-true' },
      { value: 'shear', label: 'Shear', drawing: 'slump-shear' },
      { value: 'collapse', label: 'Collapse', drawing: 'slump-collapse' },
    ],
    example: 'true',
  })
  shape?: 'true' | 'shear' | 'collapse';

  @CheckField({ label: 'The portion before this one sheared too' })
  shearedBefore?: boolean;

  @MeasureField({
    label: 'Slump',
    help: 'From the rod to the displaced original centre of the top. Empty when the shape gives no number.',
    ...lengthSpec(['0.25', '12'], ['5', '300']),
    example: { US: '3 3/4', SI: '95' },
  })
  slump?: string;

  @InstantField({ label: 'Read at', event: 'slump-read', example: '2031-05-14T09:34:58-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
