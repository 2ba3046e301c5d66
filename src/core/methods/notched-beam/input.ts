import { BendInput } from '../bend/input';
import { ChoiceField, MeasureField } from '../fields';
import { lengthSpec } from '../specs';

const NOTCH = {
  ...lengthSpec(['0.005', '20'], ['0.1', '500']),
  possible: { US: ['1', '20'], SI: ['25', '500'] },
  required: true,
} as const;

/** The readings of a notched beam, loaded in the middle under its opening. */
export class NotchedBeamInput extends BendInput {
  @MeasureField({ label: 'Height above the notch, one side', ...NOTCH, example: { US: '4.93', SI: '125.2' } })
  above1?: string;

  @MeasureField({
    label: 'Height above the notch, other side',
    ...NOTCH,
    example: { US: '4.92', SI: '125.0' },
  })
  above2?: string;

  @MeasureField({
    label: 'Notch wide',
    ...lengthSpec(['0.005', '2'], ['0.1', '50']),
    aside: true,
    example: { US: '0.14', SI: '3.5' },
  })
  notchWide?: string;

  @ChoiceField({
    label: 'Recorded over',
    required: true,
    carry: true,
    options: [
      { value: 'opening', label: 'Opening of the notch' },
      { value: 'deflection', label: 'Deflection' },
    ],
    example: 'opening',
  })
  over?: 'opening' | 'deflection';

  @ChoiceField({
    label: 'The crack began',
    required: true,
    options: [
      { value: 'notch', label: 'At the notch' },
      {
        value: 'beside',
        label: 'Beside it',
        means: {
          id: 'notch.beside',
          severity: 'invalid',
          message: 'The crack did not begin at the notch.',
          action: 'The beam is rejected. Look at the notch: depth, width, when it was sawn.',
        },
      },
    ],
    example: 'notch',
  })
  crackAt?: 'notch' | 'beside';
}
