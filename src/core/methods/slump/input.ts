import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  type MeasureSpec,
  RunInput,
  TextField,
} from '../fields';

const SECONDS: Pick<MeasureSpec, 'dimension' | 'unit' | 'step' | 'possible'> = {
  dimension: 'duration',
  unit: { US: 's', SI: 's' },
  step: { US: '1', SI: '1' },
  possible: { US: ['0', '14400'], SI: ['0', '14400'] },
};

/** The readings of one slump test, in the order they are taken. */
export class SlumpInput extends RunInput {
  @EquipmentField({ label: 'Slump mould', equipmentKind: 'slump mould', example: 'CONE-1' })
  mould?: string;

  @MeasureField({
    label: 'Started after the sample',
    help: 'Minutes and seconds from the final portion to the first scoop, as 3:20.',
    ...SECONDS,
    example: '3:20',
  })
  startDelay?: string;

  @CheckField({ label: 'Three layers by volume, 25 strokes each', help: 'Each into the layer below.' })
  layers?: boolean;

  @MeasureField({
    label: 'Lift',
    help: 'Seconds to raise the mould.',
    ...SECONDS,
    step: { US: '1', SI: '1' },
    example: '5',
  })
  liftTime?: string;

  @MeasureField({
    label: 'Fill start to mould off',
    help: 'Minutes and seconds, as 2:05.',
    ...SECONDS,
    example: '2:05',
  })
  totalTime?: string;

  @ChoiceField({
    label: 'Shape',
    required: true,
    options: [
      { value: 'true', label: 'True' },
      { value: 'shear', label: 'Shear' },
      { value: 'collapse', label: 'Collapse' },
    ],
    example: 'true',
  })
  shape?: 'true' | 'shear' | 'collapse';

  @CheckField({ label: 'The portion before this one sheared too' })
  shearedBefore?: boolean;

  @MeasureField({
    label: 'Slump',
    help: 'From the rod to the displaced original centre of the top.',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.25', SI: '5' },
    possible: { US: ['0', '12'], SI: ['0', '300'] },
    required: true,
    example: { US: '3 3/4', SI: '95' },
  })
  slump?: string;

  @InstantField({ label: 'Read at', example: '2031-05-14T09:36:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
