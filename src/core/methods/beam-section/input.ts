import { CheckField, ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { countSpec, lengthSpec, percentSpec } from '../specs';

const counted = (label: string, example: string, help?: string) => ({
  label,
  ...countSpec('1', '2000'),
  ...(help ? { help } : {}),
  example,
});
const DEPTH = { ...lengthSpec(['0.05', '20'], ['1', '500']), aside: true } as const;

/** What the broken face of a beam shows. */
export class BeamSectionInput extends RunInput {
  @InstantField({
    label: 'Looked at',
    required: true,
    help: 'While it is fresh.',
    example: '2031-06-11T09:12:00-04:00',
  })
  seenAt?: string;

  @CheckField({
    label: 'Photographed at a right angle, with a scale and an arrow up as cast',
    missed: {
      id: 'section.photo',
      severity: 'advice',
      message: 'No picture of the face.',
      action: 'Photograph it wet and again surface-dry, with a scale and an arrow up as it was cast.',
    },
  })
  photographed?: boolean;

  @ChoiceField({
    label: 'Compaction',
    required: true,
    options: [
      { value: 'good', label: 'Closed, few small pores' },
      {
        value: 'under',
        label: 'Irregular voids, honeycomb at an edge',
        means: {
          id: 'section.under',
          severity: 'departure',
          message: 'It was not compacted enough.',
          action: 'Tell who moulded it: a low result is the maker’s, not the concrete’s.',
          remark: 'Irregular voids in the broken face.',
        },
      },
      {
        value: 'over',
        label: 'Mortar on top, stones sunk',
        means: {
          id: 'section.over',
          severity: 'departure',
          message: 'It was vibrated too long, or the concrete is too wet.',
          action: 'Say so: lying on its side, one edge of the tension face is weak.',
          remark: 'Mortar layer at the top as cast, stones sunk.',
        },
      },
    ],
    example: 'good',
  })
  compaction?: 'good' | 'under' | 'over';

  @MeasureField({
    label: 'Largest void',
    ...DEPTH,
    held: {
      limit: 'section.void',
      what: 'A void of',
      severity: 'advice',
      action: 'Photograph it: a void of that size decides where it breaks.',
    },
    example: { US: '0.20', SI: '5' },
  })
  largestVoid?: string;

  @MeasureField({ label: 'Mortar layer on top as cast', ...DEPTH, example: { US: '0.10', SI: '3' } })
  mortar?: string;

  @MeasureField({
    label: 'Stones broken through',
    ...percentSpec('5', '100'),
    required: true,
    help: 'Of those in the face; the others were pulled out.',
    example: '70',
  })
  stones?: string;

  @MeasureField(
    counted(
      'Upper third as cast: points on stone',
      '62',
      'Lay a grid over the face or its picture and count.',
    ),
  )
  topStone?: string;

  @MeasureField(counted('Upper third: all points', '150'))
  topPoints?: string;

  @MeasureField(counted('Lower third as cast: points on stone', '66'))
  bottomStone?: string;

  @MeasureField(counted('Lower third: all points', '150'))
  bottomPoints?: string;

  @MeasureField({
    label: 'Steel from the tension face',
    ...DEPTH,
    help: 'To its middle, where there is any.',
    example: '',
  })
  steelDepth?: string;

  @MeasureField({ label: 'As drawn', ...DEPTH, example: '' })
  steelDrawn?: string;

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'Clay lump, sensor hole, dry core, frozen paste.',
    example: '',
  })
  remarks?: string;
}
