import {
  CheckField,
  ChoiceField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { countSpec } from '../specs';

/** A chip, by its number. */
const CHIP = { ...countSpec('1', '10'), possible: { US: ['1', '10'], SI: ['1', '10'] } } as const;

/** One spot whose roughness was compared. */
export class ProfileRow extends RowInput {
  @TextField({ label: 'Where', help: 'Place on the plan.', required: true, example: '' })
  place?: string;

  @MeasureField({ label: 'Not smoother than chip', ...CHIP, required: true, example: '3' })
  low?: string;

  @MeasureField({
    label: 'Not rougher than chip',
    ...CHIP,
    required: true,
    help: 'The same twice where one chip fits.',
    example: '4',
  })
  high?: string;

  @MeasureField({
    label: 'Peak to valley',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.001', SI: '0.02' },
    possible: { US: ['0', '0.5'], SI: ['0', '12'] },
    help: 'Of the replica putty, where a number is wanted.',
    example: '',
  })
  putty?: string;
}

const ROWS = [
  ['by the door', '3', '4', ''],
  ['middle', '3', '3', ''],
  ['by the wall', '4', '4', ''],
] as const;

/** What is read of the roughness of concrete before it is coated. */
export class SurfaceProfileInput extends RunInput {
  @CheckField({
    label: 'Vacuumed and dry',
    missed: {
      id: 'profile.dust',
      severity: 'invalid',
      message: 'Dust hides the profile.',
      action: 'Vacuum it, let it dry, and compare again.',
    },
  })
  clean?: boolean;

  @ChoiceField({
    label: 'Made rough by',
    required: true,
    carry: true,
    options: [
      { value: 'etch', label: 'Acid' },
      { value: 'grind', label: 'Grinding' },
      { value: 'blast', label: 'Shot or abrasive blasting' },
      { value: 'scarify', label: 'Scarifying, milling' },
      {
        value: 'impact',
        label: 'Scabbling, breakers',
        means: {
          id: 'profile.bruised',
          severity: 'advice',
          message: 'Blows leave cracks in the concrete under the surface.',
          action: 'Pull it off before it is coated: the skin may be bruised.',
        },
      },
    ],
    example: 'blast',
  })
  made?: 'etch' | 'grind' | 'blast' | 'scarify' | 'impact';

  @RowsField({
    label: 'Spots',
    row: 'spot',
    Row: ProfileRow,
    help: 'Chips beside the surface, light from the side: look and feel.',
    example: { US: ROWS, SI: ROWS },
  })
  spots?: ProfileRow[];

  @InstantField({ label: 'Compared at', required: true, example: '2031-03-03T13:20:00-05:00' })
  comparedAt?: string;

  @TextField({ label: 'Second pair of eyes', help: 'Who compared it too.', example: '' })
  second?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
