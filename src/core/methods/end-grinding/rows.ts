import { ChoiceField, MeasureField, RowInput, SpecimenField } from '../fields';
import { lengthSpec } from '../specs';

/** One specimen after grinding. */
export class GroundRow extends RowInput {
  @SpecimenField({ label: 'Specimen', required: true, example: '' })
  specimen?: string;

  @MeasureField({
    label: 'New length',
    ...lengthSpec(['0.05', '40'], ['1', '1000']),
    required: true,
    example: '',
  })
  length?: string;

  @MeasureField({
    label: 'Gap at the square',
    ...lengthSpec(['0.01', '2'], ['0.1', '50']),
    required: true,
    example: '',
  })
  gap?: string;

  @ChoiceField({
    label: 'Plane',
    options: [
      { value: 'yes', label: 'yes' },
      { value: 'no', label: 'no' },
    ],
    required: true,
    example: '',
  })
  plane?: 'yes' | 'no';
}
