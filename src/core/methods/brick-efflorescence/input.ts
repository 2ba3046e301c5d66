import { CheckField, ChoiceField, InstantField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { EXTENTS, type Extent } from './extent';

/** Two bricks that looked alike: one stood in water, the other stayed dry. */
export class PairRow extends RowInput {
  @TextField({ label: 'Stood in water', required: true, example: '' })
  wet?: string;

  @TextField({ label: 'Stayed dry', required: true, example: '' })
  dry?: string;

  @ChoiceField({
    label: 'Seen',
    required: true,
    options: [
      { value: 'no', label: 'no difference' },
      { value: 'yes', label: 'a difference' },
    ],
    example: '',
  })
  seen?: 'no' | 'yes';
}

/** The readings of pairs that are compared for efflorescence. */
export class EfflorescenceInput extends RunInput {
  @CheckField({
    label: 'Distilled water an inch [25 mm] deep, bricks two inches [50 mm] apart, topped up',
    missed: {
      id: 'white.water',
      severity: 'departure',
      needsReason: true,
      message: 'The bricks did not stand in water as the method has it.',
      action: 'Begin again with bricks that have not been wet.',
      remark: 'Depth, distance or kind of water other than the method has.',
    },
  })
  water?: boolean;

  @InstantField({ label: 'In the water at', required: true, example: '2031-05-20T09:00:00-04:00' })
  inAt?: string;

  @InstantField({ label: 'Out of the water at', required: true, example: '2031-05-27T09:30:00-04:00' })
  outAt?: string;

  @InstantField({
    label: 'In the oven at',
    required: true,
    help: 'Both of each pair, for a day.',
    example: '2031-05-27T09:45:00-04:00',
  })
  ovenAt?: string;

  @CheckField({
    label: 'Seen from 10 ft [3 m] in at least 50 footcandles',
    missed: {
      id: 'white.light',
      severity: 'departure',
      needsReason: true,
      message: 'They were not compared from ten feet in good light.',
      action: 'Compare them again: from near, or in poor light, something else is seen.',
      remark: 'Pairs compared from another distance or in less light.',
    },
  })
  light?: boolean;

  @RowsField({
    label: 'Pairs',
    Row: PairRow,
    row: 'pair',
    required: true,
    help: 'Five pairs, each photographed side by side.',
    example: {
      US: [
        ['B11', 'B12', 'no'],
        ['B13', 'B14', 'no'],
        ['B15', 'B16', 'no'],
        ['B17', 'B18', 'no'],
        ['B19', 'B20', 'no'],
      ],
      SI: [
        ['B11', 'B12', 'no'],
        ['B13', 'B14', 'no'],
        ['B15', 'B16', 'no'],
        ['B17', 'B18', 'no'],
        ['B19', 'B20', 'no'],
      ],
    },
  })
  pairs?: PairRow[];

  @ChoiceField({
    label: 'Extent, of the worst',
    options: Object.entries(EXTENTS).map(([value, label]) => ({ value, label })),
    help: 'Of IS 1077.',
    example: '',
  })
  extent?: Extent;

  @InstantField({ label: 'Compared at', required: true, example: '2031-05-28T10:00:00-04:00' })
  comparedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'What it looks like, where it sits.', example: '' })
  remarks?: string;
}
