import { BRICK_SIZE } from '../brick/grams';
import { CheckField, ChoiceField, InstantField, MeasureField } from '../fields';
import { PLATE, SECOND_HALF, UNBROKEN } from '../masonry-press/field-specs';
import { InPressInput } from '../press';

const SIDE = {
  ...BRICK_SIZE,
  possible: { US: ['1', '60'], SI: ['25', '1500'] },
  required: true,
  example: '',
} as const;

/** How a prism failed. Source: the modes that ASTM C1314 draws (from memory), in our own words. */
export const MODES = {
  cone: 'Cone',
  'cone-shear': 'Cone and shear',
  'cone-split': 'Cone and split',
  tension: 'Split by tension',
  'semi-cone': 'Half a cone',
  shear: 'Shear',
  shell: 'Face shell came off',
} as const;

/** The readings of a masonry prism in the press. */
export class PrismCompressionInput extends InPressInput {
  @ChoiceField({
    label: 'As it stands',
    required: true,
    options: [
      { value: 'sound', label: 'Plumb, no joint cracked' },
      {
        value: 'cracked',
        label: 'A joint is cracked, or it leans',
        means: {
          id: 'prism.unsound',
          severity: 'invalid',
          beforeLoad: true,
          message:
            'A prism with a cracked joint, or out of plumb by more than 1/4 in [6 mm], stands for nothing.',
          action: 'Discard it; the spare takes its place.',
        },
      },
    ],
    example: 'sound',
  })
  state?: 'sound' | 'cracked';

  @InstantField({
    label: 'Out of its bag at',
    required: true,
    help: 'Two days before the test, in the air of the laboratory.',
    example: '2031-06-09T08:00:00-04:00',
  })
  unbaggedAt?: string;

  @MeasureField({
    ...SIDE,
    label: 'Length, top',
    help: 'Mean of both edges.',
    example: { US: '15.60', SI: '396.2' },
  })
  lengthTop?: string;

  @MeasureField({ ...SIDE, label: 'Length, bottom', example: { US: '15.62', SI: '396.8' } })
  lengthBottom?: string;

  @MeasureField({ ...SIDE, label: 'Width, top', example: { US: '7.62', SI: '193.5' } })
  widthTop?: string;

  @MeasureField({ ...SIDE, label: 'Width, bottom', example: { US: '7.63', SI: '193.8' } })
  widthBottom?: string;

  @MeasureField({
    ...SIDE,
    label: 'Height',
    help: 'Mean of the middles of its four faces, before it is capped.',
    example: { US: '15.63', SI: '397.0' },
  })
  height?: string;

  @MeasureField({
    label: 'Net area of its units',
    dimension: 'area',
    unit: { US: 'in2', SI: 'mm2' },
    step: { US: '0.1', SI: '50' },
    possible: { US: ['1', '800'], SI: ['600', '520000'] },
    aside: true,
    help: 'Of hollow units that are not grouted: from the test of the units.',
    example: '',
  })
  netArea?: string;

  @MeasureField({ ...PLATE, aside: true })
  plate?: string;

  @MeasureField(SECOND_HALF)
  secondHalf?: string;

  @MeasureField({
    label: 'Load at the first crack',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '100', SI: '0.5' },
    possible: { US: ['100', '1000000'], SI: ['0.4', '4500'] },
    aside: true,
    help: 'If one was seen.',
    example: '',
  })
  firstCrack?: string;

  @ChoiceField({
    label: 'How it failed',
    options: Object.entries(MODES).map(([value, label]) => ({ value, label })),
    example: 'cone-split',
  })
  mode?: keyof typeof MODES;

  @CheckField(UNBROKEN)
  unbroken?: boolean;
}
