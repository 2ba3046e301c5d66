import { CheckField, ChoiceField, InstantField, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { GroundRow } from './rows';

/** The readings of a batch of specimens whose ends are ground. */
export class EndGrindingInput extends RunInput {
  @CheckField({ label: 'Wet cutting, extraction on, guards in place' })
  safe?: boolean;

  @CheckField({ label: 'Machine checked on a dummy today', help: 'Table square, segments dressed.' })
  dummy?: boolean;

  @CheckField({ label: 'Specimens kept wet before and between cuts' })
  wet?: boolean;

  @InstantField({ label: 'Ground from', example: '2031-06-10T13:10:00-04:00' })
  startedAt?: string;

  @InstantField({ label: 'Ground until', required: true, example: '2031-06-10T14:20:00-04:00' })
  finishedAt?: string;

  @RowsField({
    label: 'What was found',
    row: 'specimen',
    Row: GroundRow,
    required: true,
    help: 'Plane: on three diameters of both ends.',
    example: {
      US: [
        ['EXAMPLE-A', '7.90', '0.01', 'yes'],
        ['EXAMPLE-C', '7.85', '0.02', 'yes'],
      ],
      SI: [
        ['EXAMPLE-A', '200', '0.3', 'yes'],
        ['EXAMPLE-C', '199', '0.5', 'yes'],
      ],
    },
  })
  found?: GroundRow[];

  @ChoiceField({
    label: 'Edges',
    options: [
      { value: 'sound', label: 'No chip larger than 1/8 in [3 mm] into a face' },
      { value: 'chipped', label: 'Some chipped: say which' },
    ],
    example: 'sound',
  })
  edges?: 'sound' | 'chipped';

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'Which were chipped, sawn first, reground.',
    example: '',
  })
  remarks?: string;
}
