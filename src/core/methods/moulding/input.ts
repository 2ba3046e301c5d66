import { MOULD_SIZES, type MouldSize, mouldText } from '../../moulds';
import {
  CheckField,
  ChoiceField,
  CountsField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { countSpec, SECONDS } from '../specs';
import { MassRow, MouldRow } from './rows';

/** How the specimens of a sample were made. */
export class MouldingInput extends RunInput {
  @ChoiceField({
    label: 'Moulds',
    required: true,
    options: MOULD_SIZES.map((size) => ({ value: size, label: mouldText(size) })),
    example: { US: '4x8', SI: '100x200' },
  })
  mould?: MouldSize;

  @ChoiceField({
    label: 'Consolidated by',
    required: true,
    options: [
      { value: 'rod', label: 'Rod' },
      { value: 'vibrate', label: 'Vibrator' },
      { value: 'none', label: 'Not at all, self-consolidating' },
    ],
    example: 'rod',
  })
  consolidation?: 'rod' | 'vibrate' | 'none';

  @ChoiceField({
    label: 'Rod',
    options: [
      { value: 'small', label: '3/8 in [10 mm]' },
      { value: 'large', label: '5/8 in [16 mm]' },
      { value: 'bar', label: 'Tamping bar' },
    ],
    example: 'small',
  })
  rod?: 'small' | 'large' | 'bar';

  @CheckField({
    label: 'Level, rigid, shaded, free of vibration',
    missed: {
      id: 'moulding.place',
      severity: 'departure',
      message: 'The place is not level, rigid, shaded or still.',
      action: 'Move them now, before the concrete begins to set.',
      remark: 'Made at an unfit place.',
    },
  })
  place?: boolean;

  @ChoiceField({
    label: 'Moulds looked at',
    help: 'Round, whole rim, flat bottom, clean, dry, new if single-use.',
    options: [
      { value: 'good', label: 'All in order' },
      {
        value: 'bad',
        label: 'One or more not',
        means: {
          id: 'moulding.moulds',
          severity: 'invalid',
          message: 'A mould was not in order.',
          action: 'Take another mould; a bad mould becomes a low strength.',
        },
      },
    ],
    example: 'good',
  })
  mouldState?: 'good' | 'bad';

  @RowsField({
    label: 'Moulds measured',
    row: 'mould',
    Row: MouldRow,
    help: 'Of the shipment, three at least.',
    example: { US: [], SI: [] },
  })
  mouldSizes?: MouldRow[];

  @InstantField({ label: 'Moulding started', event: 'moulding-start', example: '2031-05-14T09:40:00-04:00' })
  startedAt?: string;

  @CountsField({
    label: 'Strokes counted',
    help: 'One number a layer of every specimen, as 25 25 25 25.',
    example: '25 25',
  })
  strokes?: string;

  @CountsField({ label: 'Insertions counted', help: 'Vibrator: one number a layer.', example: '' })
  insertions?: string;

  @CountsField({ label: 'Taps counted', help: 'One number a layer.', example: '12 12' })
  taps?: string;

  @MeasureField({ label: 'Longest at one place', help: 'Vibrator: seconds.', ...SECONDS, example: '' })
  vibration?: string;

  @CheckField({ label: 'Wet-sieved' })
  wetSieved?: boolean;

  @RowsField({
    label: 'Masses, filled and empty',
    row: 'specimen',
    Row: MassRow,
    help: 'If weighed: shows a bad one before it is covered.',
    example: {
      US: [
        ['A', '8.71', '0.16'],
        ['B', '8.66', '0.16'],
      ],
      SI: [
        ['A', '3.78', '0.07'],
        ['B', '3.76', '0.07'],
      ],
    },
  })
  masses?: MassRow[];

  @InstantField({ label: 'Last specimen finished', event: 'moulded', example: '2031-05-14T09:49:00-04:00' })
  finishedAt?: string;

  @ChoiceField({
    label: 'Tops',
    options: [
      { value: 'flat', label: 'Flat, no bump or hollow over 1/8 in [3 mm]' },
      {
        value: 'rough',
        label: 'Not flat',
        means: {
          id: 'moulding.tops',
          severity: 'departure',
          message: 'A top is not flat.',
          action: 'Refinish it now: a bad end becomes a low strength.',
          remark: 'Tops not flat.',
        },
      },
    ],
    example: 'flat',
  })
  tops?: 'flat' | 'rough';

  @CheckField({
    label: 'Marked on the side of the mould',
    help: 'Never on a lid, a bag or the finished top.',
    missed: {
      id: 'moulding.marked',
      severity: 'departure',
      message: 'Not marked on the side of the mould.',
      action: 'Mark the mould’s side; a lid or bag comes off.',
      remark: 'Marked elsewhere than on the side of the mould.',
    },
  })
  marked?: boolean;

  @InstantField({ label: 'Last specimen covered', event: 'covered', example: '2031-05-14T09:50:00-04:00' })
  coveredAt?: string;

  @InstantField({
    label: 'All in initial cure',
    event: 'in-initial-cure',
    example: '2031-05-14T09:55:00-04:00',
  })
  restingAt?: string;

  @MeasureField({ label: 'Specimens counted', ...countSpec('1', '40'), example: '5' })
  counted?: string;

  @MeasureField({ label: 'Specimens planned', ...countSpec('1', '40'), example: '5' })
  planned?: string;

  @TextField({ label: 'Where they stand', help: 'Box and row.', example: 'box 2, row 1' })
  location?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
