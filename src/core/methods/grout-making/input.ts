import { ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { AIR_TEMPERATURE, TEMPERATURE } from '../specs';

const LENGTH = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.05', SI: '1' },
} as const;
const STAND = {
  ...AIR_TEMPERATURE,
  aside: true,
} as const;

/** How a sample of grout was taken and its prisms were filled between units. */
export class GroutMakingInput extends RunInput {
  @MeasureField({
    label: 'Side of the space',
    ...LENGTH,
    possible: { US: ['1', '9'], SI: ['25', '230'] },
    required: true,
    help: 'Square, between four units of the wall.',
    held: {
      limit: 'grout.side',
      severity: 'departure',
      what: 'The space is',
      action: 'Set the units farther apart.',
    },
    example: { US: '3.05', SI: '77' },
  })
  side?: string;

  @MeasureField({
    label: 'Height of the units',
    ...LENGTH,
    possible: { US: ['2', '16'], SI: ['50', '400'] },
    required: true,
    help: 'What is left of it below the prism is filled by a plug.',
    example: { US: '7.63', SI: '194' },
  })
  unitHeight?: string;

  @ChoiceField({
    label: 'Lined',
    required: true,
    options: [
      { value: 'yes', label: 'Paper towel or another liner that lets water through' },
      {
        value: 'no',
        label: 'Not, or with something tight',
        means: {
          id: 'grout.liner',
          severity: 'invalid',
          message: 'Units have to draw water out of the grout as they do in the wall, and come off it again.',
          action: 'Build the mould anew with a liner that lets water through.',
        },
      },
    ],
    example: 'yes',
  })
  lined?: 'yes' | 'no';

  @InstantField({
    label: 'Sampled at',
    required: true,
    help: 'As it goes into the wall.',
    example: '2031-06-05T10:30:00-04:00',
  })
  sampledAt?: string;

  @MeasureField({
    label: 'Slump',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.25', SI: '5' },
    possible: { US: ['0', '12'], SI: ['0', '300'] },
    help: 'Of self-consolidating grout none.',
    held: {
      limit: 'grout.slump',
      severity: 'departure',
      what: 'The slump is',
      action: 'Tell the inspector; nobody adds water without who is responsible for the mix.',
    },
    example: { US: '9.5', SI: '240' },
  })
  slump?: string;

  @MeasureField({ label: 'Grout', ...TEMPERATURE, example: { US: '74', SI: '23' } })
  temperature?: string;

  @ChoiceField({
    label: 'Filled',
    required: true,
    options: [
      { value: 'two', label: 'Two layers, 15 strokes each' },
      { value: 'self', label: 'In one, self-consolidating' },
      {
        value: 'other',
        label: 'Another way',
        means: {
          id: 'grout.filled',
          severity: 'departure',
          needsReason: true,
          message: 'Three layers and 25 strokes are for concrete.',
          action: 'Fill anew while the grout is fresh: two layers, 15 strokes, half an inch into the first.',
          remark: 'Grout prisms not filled in two layers of 15 strokes.',
        },
      },
    ],
    example: 'two',
  })
  filled?: 'two' | 'self' | 'other';

  @InstantField({ label: 'Struck off and covered at', required: true, example: '2031-06-05T10:45:00-04:00' })
  coveredAt?: string;

  @MeasureField({
    label: 'Coldest',
    ...STAND,
    held: {
      limit: 'grout.air',
      severity: 'departure',
      what: 'It was as cold as',
      action: 'Keep them warmer.',
    },
    example: { US: '63', SI: '18' },
  })
  coldest?: string;

  @MeasureField({
    label: 'Hottest',
    ...STAND,
    held: { limit: 'grout.air', severity: 'departure', what: 'It was as hot as', action: 'Shade them.' },
    example: { US: '78', SI: '25' },
  })
  hottest?: string;

  @InstantField({
    label: 'Stripped and packed at',
    required: true,
    help: 'Damp, without a jolt, to the moist room.',
    example: '2031-06-06T14:00:00-04:00',
  })
  strippedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Honeycomb at the liner, a dry top.', example: '' })
  remarks?: string;
}
