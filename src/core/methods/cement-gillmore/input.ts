import { CABINET, ROOM } from '../cement/fields';
import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** A look at the pat under both needles. */
export class NeedleLookRow extends RowInput {
  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;

  @ChoiceField({
    label: 'Light needle',
    required: true,
    options: [
      { value: 'mark', label: 'A whole circle' },
      { value: 'none', label: 'None' },
    ],
    example: '',
  })
  light?: 'mark' | 'none';

  @ChoiceField({
    label: 'Heavy needle',
    required: true,
    options: [
      { value: 'mark', label: 'A whole circle' },
      { value: 'none', label: 'None' },
    ],
    example: '',
  })
  heavy?: 'mark' | 'none';
}

/** A pat of paste under a light and a heavy needle. */
export class CementGillmoreInput extends RunInput {
  @MeasureField({ ...ROOM, required: true })
  room?: string;

  @MeasureField(CABINET)
  cabinet?: string;

  @InstantField({ label: 'Water met cement at', required: true, example: '2031-09-12T08:12:00-04:00' })
  contactAt?: string;

  @RowsField({
    label: 'Looks',
    row: 'look',
    Row: NeedleLookRow,
    required: true,
    help: 'Both needles set on lightly, every quarter of an hour; two more within 90 s where one leaves none.',
    example: {
      US: [
        ['2031-09-12T10:12:00-04:00', 'mark', 'mark'],
        ['2031-09-12T10:27:00-04:00', 'none', 'mark'],
        ['2031-09-12T12:57:00-04:00', 'none', 'mark'],
        ['2031-09-12T13:12:00-04:00', 'none', 'none'],
      ],
      SI: [
        ['2031-09-12T10:12:00-04:00', 'mark', 'mark'],
        ['2031-09-12T10:27:00-04:00', 'none', 'mark'],
        ['2031-09-12T12:57:00-04:00', 'none', 'mark'],
        ['2031-09-12T13:12:00-04:00', 'none', 'none'],
      ],
    },
  })
  looks?: NeedleLookRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
