import { ChoiceField, MeasureField } from '../fields';
import { DIAMETER, LENGTH, PressedSpecimenInput } from '../press';

/** The readings of one cylinder split along its length. */
export class SplittingTensileInput extends PressedSpecimenInput {
  @MeasureField({
    label: 'Diameter near one end',
    ...DIAMETER,
    required: true,
    help: 'In the plane of the marked lines.',
    example: { US: '4.01', SI: '101.50' },
  })
  diameter1?: string;

  @MeasureField({
    label: 'Diameter in the middle',
    ...DIAMETER,
    required: true,
    example: { US: '4.00', SI: '101.75' },
  })
  diameter2?: string;

  @MeasureField({
    label: 'Diameter near the other end',
    ...DIAMETER,
    required: true,
    example: { US: '4.02', SI: '101.75' },
  })
  diameter3?: string;

  @MeasureField({
    label: 'Length, one side',
    ...LENGTH,
    required: true,
    help: 'Along the marked line.',
    example: { US: '8.0', SI: '202' },
  })
  length1?: string;

  @MeasureField({ label: 'Length, other side', ...LENGTH, required: true, example: { US: '8.1', SI: '204' } })
  length2?: string;

  @ChoiceField({
    label: 'Bearing strips',
    required: true,
    help: 'Plywood 1/8 in [3 mm], 1 in [25 mm] wide, as long as the cylinder; in the EN school hardboard 10 × 4 mm. Used once.',
    options: [
      { value: 'new', label: 'Two new ones' },
      {
        value: 'used',
        label: 'Used before',
        means: {
          id: 'splitting.strips',
          severity: 'invalid',
          beforeLoad: true,
          message: 'Bearing strips are used once.',
          action: 'Take two new strips.',
        },
      },
    ],
    example: 'new',
  })
  strips?: 'new' | 'used';

  @ChoiceField({
    label: 'Lines in one plane',
    required: true,
    help: 'Marked with the jig on both ends, vertical in the press.',
    options: [
      { value: 'yes', label: 'In one plane, vertical' },
      {
        value: 'no',
        label: 'Not in one plane',
        means: {
          id: 'splitting.lines',
          severity: 'invalid',
          beforeLoad: true,
          message: 'The lines do not lie in one plane: the load would not go through the axis.',
          action: 'Mark them again with the jig, and set them vertical.',
        },
      },
    ],
    example: 'yes',
  })
  lines?: 'yes' | 'no';

  @MeasureField({
    label: 'Loading rate',
    aside: true,
    help: 'Of the splitting stress, a minute.',
    dimension: 'stressRate',
    unit: { US: 'psi/min', SI: 'MPa/min' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['0', '20000'], SI: ['0', '140'] },
    example: { US: '145', SI: '1.02' },
  })
  loadingRate?: string;

  @ChoiceField({
    label: 'Fracture',
    required: true,
    options: [
      { value: 'split', label: 'Split along the line' },
      {
        value: 'crushed',
        label: 'Crushed at a strip first',
        means: {
          id: 'splitting.fracture',
          severity: 'invalid',
          message: 'It crushed at a strip before it split.',
          action: 'Look at strips, alignment and plate before the next one.',
        },
      },
      {
        value: 'end',
        label: 'Split from one end',
        means: {
          id: 'splitting.fracture',
          severity: 'invalid',
          message: 'It split from one end.',
          action: 'Look at strips, alignment and plate before the next one.',
        },
      },
    ],
    example: 'split',
  })
  fracture?: 'split' | 'crushed' | 'end';

  @MeasureField({
    label: 'Coarse aggregate broken through',
    aside: true,
    help: 'Estimated over the split face.',
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: '5', SI: '5' },
    possible: { US: ['0', '100'], SI: ['0', '100'] },
    example: '60',
  })
  aggregateBroken?: string;
}
