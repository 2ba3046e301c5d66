import { BRICK_SIZE } from '../brick/grams';
import { CheckField, ChoiceField, InstantField, MeasureField } from '../fields';
import { PLATE, SECOND_HALF, UNBROKEN } from '../masonry-press/field-specs';
import { BEARING, CONDITION } from '../masonry-press/school';
import { InPressInput } from '../press';

const SIDE = { ...BRICK_SIZE, required: true } as const;

/** The readings of a half brick in the press. */
export class BrickCompressionInput extends InPressInput {
  @ChoiceField({
    label: 'As it is',
    required: true,
    options: [
      { value: 'sound', label: 'Cut square, sound, dry' },
      {
        value: 'cracked',
        label: 'Cracked by the cut',
        means: {
          id: 'brick.cracked',
          severity: 'invalid',
          beforeLoad: true,
          message: 'The half is cracked.',
          action: 'Take the other half, or halve a spare brick.',
        },
      },
      { value: 'damp', label: 'Damp' },
    ],
    example: 'sound',
  })
  state?: 'sound' | 'cracked' | 'damp';

  @ChoiceField({
    label: 'Piece',
    options: [
      { value: 'half', label: 'Half of its brick' },
      { value: 'quarter', label: 'Quarter, a half being too strong' },
    ],
    carry: true,
    help: 'Full width and height. A quarter only where the machine does not break a half.',
    example: '',
  })
  piece?: 'half' | 'quarter';

  @ChoiceField({
    label: 'Frog or recess',
    carry: true,
    required: true,
    options: [
      { value: 'none', label: 'None' },
      { value: 'filled', label: 'Filled with mortar' },
      {
        value: 'open',
        label: 'Not filled',
        means: {
          id: 'brick.recess',
          severity: 'invalid',
          beforeLoad: true,
          message: 'A recess that is not filled bears no load.',
          action: 'Fill it, one part of high-early cement to two of sand, and let it stand 48 h.',
        },
      },
    ],
    example: 'none',
  })
  recess?: 'none' | 'filled' | 'open';

  @InstantField({ label: 'Filled at', carry: true, help: 'Of a recess only.', example: '' })
  filledAt?: string;

  @MeasureField({
    label: 'Length, top',
    ...SIDE,
    help: 'Of the bearing face as it lies, before it is capped.',
    example: { US: '3.78', SI: '96.0' },
  })
  lengthTop?: string;

  @MeasureField({ label: 'Width, top', ...SIDE, example: { US: '3.60', SI: '91.4' } })
  widthTop?: string;

  @MeasureField({
    ...BRICK_SIZE,
    label: 'Length, bottom',
    help: 'Of the other bearing face.',
    example: { US: '3.77', SI: '95.8' },
  })
  lengthBottom?: string;

  @MeasureField({ ...BRICK_SIZE, label: 'Width, bottom', example: { US: '3.59', SI: '91.2' } })
  widthBottom?: string;

  @ChoiceField(BEARING)
  bearing?: 'ground' | 'mortar' | 'plywood';

  @ChoiceField(CONDITION)
  condition?: 'air' | 'oven' | 'wet';

  @MeasureField({ ...PLATE, aside: true, example: '' })
  plate?: string;

  @MeasureField(SECOND_HALF)
  secondHalf?: string;

  @CheckField(UNBROKEN)
  unbroken?: boolean;
}
