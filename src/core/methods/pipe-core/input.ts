import { ChoiceField, MeasureField, TextField } from '../fields';
import { LENGTH, LOADING_RATE } from '../press/field-specs';
import { InPressInput } from '../press/specimen-input';

const DIAMETER = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.25' },
  possible: { US: ['1', '12'], SI: ['25', '300'] },
  required: true,
} as const;

/** The readings of a core through the wall of a pipe. */
export class PipeCoreInput extends InPressInput {
  @TextField({
    label: 'Where in the pipe',
    help: 'From the spigot, and where round it.',
    example: '3 ft, springline',
  })
  location?: string;

  @MeasureField({
    label: 'Largest aggregate',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.125', SI: '1' },
    possible: { US: ['0.1', '3'], SI: ['2', '75'] },
    aside: true,
    help: 'Nominal, of the mix.',
    example: { US: '0.75', SI: '19' },
  })
  aggregate?: string;

  @ChoiceField({
    label: 'Steel in the trimmed core',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      {
        value: 'inside',
        label: 'Some',
        means: {
          id: 'pipe-core.steel',
          severity: 'invalid',
          beforeLoad: true,
          message: 'There is steel in the core.',
          action: 'Locate the cage and drill another between its wires.',
        },
      },
    ],
    example: 'none',
  })
  steel?: 'none' | 'inside';

  @ChoiceField({
    label: 'Kept',
    required: true,
    options: [
      { value: 'sealed', label: 'Sealed, as it came out' },
      { value: 'soaked', label: 'In water' },
      { value: 'dry', label: 'Dry in the room' },
    ],
    help: 'As it was agreed.',
    example: 'sealed',
  })
  kept?: 'sealed' | 'soaked' | 'dry';

  @MeasureField({
    label: 'Diameter',
    ...DIAMETER,
    help: 'At the middle.',
    example: { US: '3.74', SI: '95.00' },
  })
  diameter1?: string;

  @MeasureField({ label: 'Diameter, across it', ...DIAMETER, example: { US: '3.75', SI: '95.25' } })
  diameter2?: string;

  @MeasureField({
    label: 'Length before the caps',
    ...LENGTH,
    step: { US: '0.05', SI: '1' },
    example: { US: '4.25', SI: '108' },
  })
  lengthBefore?: string;

  @MeasureField({
    label: 'Length with the caps',
    ...LENGTH,
    step: { US: '0.05', SI: '1' },
    required: true,
    help: 'As it stands in the press: the factor goes by it.',
    example: { US: '4.40', SI: '112' },
  })
  length?: string;

  @ChoiceField({
    label: 'Ends',
    required: true,
    carry: true,
    options: [
      { value: 'compound', label: 'Caps' },
      { value: 'pads', label: 'Unbonded pads' },
      {
        value: 'loose',
        label: 'A cap that sounds hollow',
        means: {
          id: 'pipe-core.loose',
          severity: 'invalid',
          beforeLoad: true,
          message: 'A loose cap breaks the core before its time.',
          action: 'Take it off and cap it again.',
        },
      },
    ],
    example: 'compound',
  })
  ends?: 'compound' | 'pads' | 'loose';

  @MeasureField({ ...LOADING_RATE, example: { US: '36', SI: '0.25' } })
  loadingRate?: string;

  @ChoiceField({
    label: 'How it broke',
    required: true,
    options: [
      { value: 'cones', label: 'Cones, one or two' },
      { value: 'columns', label: 'Columns, cracks from end to end' },
      { value: 'shear', label: 'One leaning plane' },
      { value: 'side', label: 'At a side or an end' },
    ],
    example: 'cones',
  })
  broke?: 'cones' | 'columns' | 'shear' | 'side';

  @TextField({
    label: 'Hole made good with',
    help: 'Mortar, plug, and by whom; a pipe with an open hole is not shipped.',
    aside: true,
    example: '',
  })
  plugged?: string;
}
