import { ChoiceField, InstantField, RunInput, TextField } from '../fields';

/** What is read of a half that was dried, soaked and boiled: its masses come by themselves. */
export class BrickAbsorptionInput extends RunInput {
  @ChoiceField({
    label: 'Whole to the end',
    required: true,
    options: [
      { value: 'yes', label: 'Nothing lost' },
      {
        value: 'chip',
        label: 'A chip was lost in the water',
        means: {
          id: 'brick.chip',
          severity: 'invalid',
          message: 'What it lost in the water counts as absorption that is not there.',
          action: 'This half is void: halve the sixth brick and begin with it.',
        },
      },
    ],
    example: 'yes',
  })
  whole?: 'yes' | 'chip';

  @InstantField({ label: 'Looked at', required: true, example: '2031-05-24T09:10:00-04:00' })
  lookedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'What was odd.', example: '' })
  remarks?: string;
}
