import { CheckField, ChoiceField, InstantField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** A look at the outside. */
export class LookRow extends RowInput {
  @ChoiceField({
    label: 'Outside',
    required: true,
    options: [
      { value: 'dry', label: 'Dry' },
      { value: 'damp', label: 'Damp places' },
      { value: 'drops', label: 'Drops' },
    ],
    example: 'dry',
  })
  seen?: 'dry' | 'damp' | 'drops';

  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;
}

/** What is seen on the outside of a pipe that stands filled. */
export class PipePermeabilityInput extends RunInput {
  @InstantField({ label: 'Filled at', required: true, example: '2031-09-19T13:00:00-04:00' })
  filledAt?: string;

  @CheckField({
    label: 'Stands level on soft rubber, strapped, the outside dry before',
    missed: {
      id: 'permeable.stands',
      severity: 'departure',
      message: 'What was wet before looks like water that came through.',
      action: 'Dry it and look again.',
      remark: 'Outside of the pipe not dry before it was filled, or not on rubber.',
    },
  })
  stands?: boolean;

  @RowsField({
    label: 'Looks',
    row: 'look',
    Row: LookRow,
    required: true,
    help: 'After a quarter of an hour, and again where it is damp.',
    example: {
      US: [['dry', '2031-09-19T13:16:00-04:00']],
      SI: [['dry', '2031-09-19T13:16:00-04:00']],
    },
  })
  looks?: LookRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-19T13:17:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
