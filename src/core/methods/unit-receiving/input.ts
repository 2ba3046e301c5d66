import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  SpecimenField,
  TextField,
} from '../fields';
import { MASS } from '../mass-spec';
import { RowsField } from '../rows-field';

/** A unit as it came. */
export class ReceivedRow extends RowInput {
  @SpecimenField({ label: 'Unit', required: true, example: '' })
  specimen?: string;

  @MeasureField({
    label: 'Received mass',
    ...MASS,
    required: true,
    also: { received: '', wr: '' },
    example: '',
  })
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;

  @ChoiceField({
    label: 'Damage',
    options: [
      { value: 'none', label: 'none' },
      { value: 'small', label: 'small chips or cracks' },
      { value: 'broken', label: 'broken' },
    ],
    example: '',
  })
  damage?: 'none' | 'small' | 'broken';
}

/** The readings of units as they came. */
export class UnitReceivingInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @CheckField({
    label: 'Cleaned with stone or brush, cells too, before they were weighed',
    missed: {
      id: 'unit.not-cleaned',
      severity: 'departure',
      message: 'Weighed before they were cleaned.',
      action: 'Clean them and weigh again.',
      remark: 'Units weighed as received without cleaning.',
    },
  })
  cleaned?: boolean;

  @TextField({
    label: 'Where',
    required: true,
    help: 'The moisture is that of this place and time.',
    example: 'laboratory, receiving bench',
  })
  place?: string;

  @RowsField({
    label: 'Units',
    Row: ReceivedRow,
    row: 'unit',
    required: true,
    help: 'As soon as they are drawn and marked.',
    example: {
      US: [
        ['EXAMPLE-U1', '32.84', '2031-05-19T09:05:00-04:00', 'none'],
        ['EXAMPLE-U2', '33.02', '2031-05-19T09:07:00-04:00', 'none'],
      ],
      SI: [
        ['EXAMPLE-U1', '14.895', '2031-05-19T09:05:00-04:00', 'none'],
        ['EXAMPLE-U2', '14.980', '2031-05-19T09:07:00-04:00', 'none'],
      ],
    },
  })
  units?: ReceivedRow[];

  @InstantField({ label: 'All received at', required: true, example: '2031-05-19T09:20:00-04:00' })
  receivedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'What is damaged, and how.', example: '' })
  remarks?: string;
}
