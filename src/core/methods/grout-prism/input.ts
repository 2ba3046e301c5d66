import { ChoiceField, MeasureField } from '../fields';
import { LOADING_RATE, PressedSpecimenInput } from '../press';

const SIDE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.05', SI: '1' },
  possible: { US: ['1', '12'], SI: ['25', '300'] },
  required: true,
} as const;

/** The readings of one grout prism, made against the units of the wall. */
export class GroutPrismInput extends PressedSpecimenInput {
  @MeasureField({
    label: 'Width x, one face',
    ...SIDE,
    help: 'At mid-height.',
    example: { US: '3.55', SI: '90' },
  })
  x1?: string;

  @MeasureField({ label: 'Width x, face opposite', ...SIDE, example: { US: '3.50', SI: '89' } })
  x2?: string;

  @MeasureField({
    label: 'Width y, one face',
    ...SIDE,
    help: 'At mid-height, at right angles to x.',
    example: { US: '3.60', SI: '91' },
  })
  y1?: string;

  @MeasureField({ label: 'Width y, face opposite', ...SIDE, example: { US: '3.55', SI: '90' } })
  y2?: string;

  @MeasureField({
    label: 'Height',
    ...SIDE,
    help: 'Without its caps.',
    possible: { US: ['2', '24'], SI: ['50', '600'] },
    example: { US: '7.10', SI: '180' },
  })
  height?: string;

  @ChoiceField({
    label: 'Square to its ends',
    required: true,
    help: 'Out of plumb at most 1/8 in in 12 in [10 mm in a metre].',
    options: [
      { value: 'yes', label: 'Square' },
      {
        value: 'no',
        label: 'Leaning',
        means: {
          id: 'grout-prism.leaning',
          severity: 'invalid',
          beforeLoad: true,
          message: 'The prism leans.',
          action: 'Grind or cap it square, or do not test it.',
        },
      },
    ],
    example: 'yes',
  })
  square?: 'yes' | 'no';

  @ChoiceField({
    label: 'Ends',
    required: true,
    options: [
      { value: 'sulfur', label: 'Sulfur caps' },
      { value: 'gypsum', label: 'Gypsum caps' },
      { value: 'ground', label: 'Ground' },
      {
        value: 'none',
        label: 'As struck',
        means: {
          id: 'grout-prism.ends',
          severity: 'invalid',
          beforeLoad: true,
          message: 'Ends as they were struck are neither plane nor parallel.',
          action: 'Cap them as a cylinder’s, or grind them.',
        },
      },
    ],
    example: 'gypsum',
  })
  ends?: 'sulfur' | 'gypsum' | 'ground' | 'none';

  @MeasureField(LOADING_RATE)
  loadingRate?: string;

  @MeasureField({
    label: 'Time for the second half',
    aside: true,
    help: 'By stopwatch, from half the load to the break, where no rate was read.',
    dimension: 'duration',
    unit: { US: 's', SI: 's' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '3600'], SI: ['1', '3600'] },
    example: { US: '41', SI: '41' },
  })
  secondHalf?: string;
}
