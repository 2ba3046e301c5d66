import { ChoiceField, MeasureField } from '../fields';
import { LOADING_RATE, PressedSpecimenInput } from '../press';

const SIDE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.005', SI: '0.1' },
  possible: { US: ['1', '12'], SI: ['25', '310'] },
} as const;

/** The readings of one cube in compression. */
export class CubeCompressionInput extends PressedSpecimenInput {
  @MeasureField({
    label: 'Side x',
    ...SIDE,
    help: 'Across the loaded face, mean of several.',
    required: true,
    example: { US: '5.910', SI: '150.1' },
  })
  sideX?: string;

  @MeasureField({
    label: 'Side y',
    ...SIDE,
    help: 'Across the loaded face, at right angles to x.',
    required: true,
    example: { US: '5.905', SI: '149.8' },
  })
  sideY?: string;

  @MeasureField({
    label: 'Height',
    ...SIDE,
    aside: true,
    help: 'Between the loaded faces; gives the density together with the mass.',
    example: { US: '5.905', SI: '150.0' },
  })
  height?: string;

  @MeasureField({
    label: 'Mass',
    aside: true,
    help: 'Wiped, wet.',
    dimension: 'mass',
    unit: { US: 'lb', SI: 'kg' },
    step: { US: '0.02', SI: '0.01' },
    possible: { US: ['0.1', '100'], SI: ['0.05', '45'] },
    example: { US: '17.80', SI: '8.07' },
  })
  mass?: string;

  @ChoiceField({
    label: 'Trowelled face',
    required: true,
    help: 'Loaded faces are cast faces.',
    options: [
      { value: 'side', label: 'To the side' },
      { value: 'up', label: 'Under a platen' },
    ],
    example: 'side',
  })
  trowelled?: 'side' | 'up';

  @MeasureField({ ...LOADING_RATE, help: 'If it was read.', example: { US: '87', SI: '0.6' } })
  loadingRate?: string;

  @ChoiceField({
    label: 'Failure pattern',
    required: true,
    options: [
      { value: 'even', label: 'All four sides cracked alike, faces at the platens little hurt' },
      { value: 'burst', label: 'Burst on all sides' },
      { value: 'bare-face', label: 'One side or more free of cracks' },
      { value: 'corner', label: 'A corner came off' },
      { value: 'tensile', label: 'One crack from platen to platen' },
      { value: 'leaning', label: 'A leaning prism is left' },
      { value: 'spalled', label: 'One side spalled' },
      { value: 'other', label: 'Other: say it in the remarks' },
    ],
    example: 'even',
  })
  pattern?: 'even' | 'burst' | 'bare-face' | 'corner' | 'tensile' | 'leaning' | 'spalled' | 'other';
}
