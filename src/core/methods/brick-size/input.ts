import {
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';

const READ = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.03125', SI: '0.5' },
  possible: { US: ['1', '17'], SI: ['25', '430'] },
  required: true,
  example: '',
} as const;
const OFF = { ...READ, possible: { US: ['0', '0.3'], SI: ['0', '8'] }, required: false } as const;

/** One place of a brick: its thickness, height and length there. */
export class PlaceRow extends RowInput {
  @MeasureField({ label: 'Thickness', ...READ, also: { width: '' } })
  width?: string;

  @MeasureField({ label: 'Height', ...READ })
  height?: string;

  @MeasureField({ label: 'Length', ...READ })
  length?: string;
}

/** The sizes of a whole dry brick. */
export class BrickSizeInput extends RunInput {
  @EquipmentField({
    label: 'Rule or calliper',
    equipmentKind: 'calliper',
    carry: true,
    example: 'CALLIPER-1',
  })
  calliper?: string;

  @RowsField({
    label: 'At four places',
    Row: PlaceRow,
    row: 'place',
    required: true,
    help: 'Along the middle of each face, to 1/32 in [0.5 mm].',
    example: {
      US: [
        ['3 19/32', '2 1/4', '7 5/8'],
        ['3 5/8', '2 1/4', '7 19/32'],
        ['3 5/8', '2 7/32', '7 5/8'],
        ['3 19/32', '2 1/4', '7 5/8'],
      ],
      SI: [
        ['91.5', '57', '194'],
        ['92', '57', '193'],
        ['92', '56.5', '194'],
        ['91.5', '57', '194'],
      ],
    },
  })
  places?: PlaceRow[];

  @MeasureField({
    ...OFF,
    label: 'Warpage',
    help: 'The greatest of its faces, by straightedge and wedge.',
    example: { US: '1/32', SI: '1' },
  })
  warp?: string;

  @ChoiceField({
    label: 'Warped',
    options: [
      { value: 'hollow', label: 'Hollow' },
      { value: 'bulged', label: 'Bulged' },
    ],
    example: 'hollow',
  })
  warped?: 'hollow' | 'bulged';

  @MeasureField({
    ...OFF,
    label: 'Out of square',
    help: 'On the face that shows, at the far end.',
    example: { US: '1/32', SI: '1' },
  })
  square?: string;

  @MeasureField({
    label: 'Sand that fills its cores',
    dimension: 'volume',
    unit: { US: 'mL', SI: 'mL' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '5000'], SI: ['0', '5000'] },
    help: 'Dry, struck level, poured into a cylinder. 0 where it has none.',
    example: '214',
  })
  sand?: string;

  @InstantField({ label: 'Measured at', required: true, example: '2031-05-19T11:00:00-04:00' })
  measuredAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Chips, a crack.', example: '' })
  remarks?: string;
}
