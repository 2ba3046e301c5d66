import { InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** How many pipes were made up to a day. */
export class CountRow extends RowInput {
  @MeasureField({
    label: 'Made so far',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '1000000'], SI: ['0', '1000000'] },
    whole: true,
    required: true,
    example: '84',
  })
  made?: string;

  @InstantField({
    label: 'Counted at',
    stamps: true,
    required: true,
    example: '2031-06-30T16:00:00-04:00',
  })
  at?: string;
}

/** What is counted of a size and class over its calendar year. */
export class PipeYearInput extends RunInput {
  @RowsField({
    label: 'Pipes of this size and class',
    row: 'count',
    Row: CountRow,
    help: 'From the yard’s list, in all since the year began; the newest counts.',
    example: {
      US: [
        ['37', '2031-03-31T16:00:00-04:00'],
        ['84', '2031-06-30T16:00:00-04:00'],
      ],
      SI: [
        ['37', '2031-03-31T16:00:00-04:00'],
        ['84', '2031-06-30T16:00:00-04:00'],
      ],
    },
  })
  counts?: CountRow[];

  @InstantField({
    label: 'Year closed at',
    required: true,
    help: 'When nothing of it is to come any more: after its last test.',
    example: '2031-12-19T15:00:00-05:00',
  })
  closedAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
