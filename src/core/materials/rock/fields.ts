import { ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';

const STRESS = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
} as const;
const DEPTH = {
  dimension: 'length',
  unit: { US: 'ft', SI: 'm' },
  step: { US: '0.1', SI: '0.01' },
  possible: { US: ['0', '20000'], SI: ['0', '6000'] },
} as const;
const FACTOR = {
  dimension: 'ratio',
  unit: { US: 'one', SI: 'one' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['5', '100'], SI: ['5', '100'] },
} as const;
const STRENGTH = {
  ...STRESS,
  step: { US: '100', SI: '1' },
  possible: { US: ['30', '75000'], SI: ['0.2', '500'] },
} as const;
const INDEX = {
  ...STRESS,
  step: { US: '1', SI: '0.01' },
  possible: { US: ['1', '4000'], SI: ['0.01', '30'] },
} as const;

/** What is asked of a rock, and what is expected of it. */
export class Asked extends RunInput {
  @MeasureField({
    label: 'Strength expected',
    ...STRENGTH,
    help: 'Uniaxial compression. The load and its rate are planned from it.',
    example: { US: '15,000 psi', SI: '105 MPa' },
  })
  expectedStrength?: string;

  @MeasureField({
    label: 'Mean index at least',
    ...INDEX,
    help: 'Is(50) of a group, where the project asks for one.',
    example: { US: '290 psi', SI: '2.1 MPa' },
  })
  leastIndex?: string;

  @MeasureField({
    label: 'Lowest index at least',
    ...INDEX,
    help: 'Of every valid piece, where the project asks for it.',
    example: '',
  })
  leastPiece?: string;

  @MeasureField({
    label: 'Estimated strength at least',
    ...STRENGTH,
    help: 'K times the mean, where the project decides by it.',
    example: '',
  })
  leastStrength?: string;

  @MeasureField({
    label: 'Mean strength of cores at least',
    ...STRENGTH,
    help: 'Of a group that is compressed, where the project asks for it.',
    example: '',
  })
  leastCores?: string;

  @MeasureField({
    label: 'Lowest strength of a core at least',
    ...STRENGTH,
    help: 'Of every whole core in the shape of the method.',
    example: '',
  })
  leastCore?: string;

  @ChoiceField({
    label: 'Strength is estimated by',
    options: [
      { value: 'own', label: 'The site’s own factor, else the one below, else the general one' },
      { value: 'general', label: 'The general factor' },
      { value: 'is', label: 'Factor 22, IS 8764' },
      { value: 'gb', label: 'Power law, GB/T 50218' },
    ],
    example: 'own',
  })
  law?: 'own' | 'general' | 'is' | 'gb';

  @MeasureField({
    label: 'Factor K',
    ...FACTOR,
    help: 'As the project names it, 20 to 24 as a rule. Left open, the site’s own counts where there is one, else the general one.',
    example: '',
  })
  factor?: string;

  @TextField({ label: 'Where K comes from', help: 'Method statement, with its date.', example: '' })
  factorFrom?: string;
}

export const WEATHERING = [
  { value: 'I', label: 'I, fresh' },
  { value: 'II', label: 'II, slightly: stain on the joints' },
  { value: 'III', label: 'III, moderately: less than half decomposed' },
  { value: 'IV', label: 'IV, highly: more than half decomposed' },
  { value: 'V', label: 'V, completely: soil, the structure kept' },
  { value: 'VI', label: 'VI, residual soil' },
] as const;

export const MOISTURE = [
  { value: 'received', label: 'As received' },
  { value: 'saturated', label: 'Saturated' },
  { value: 'air-dry', label: 'Air-dry' },
  { value: 'oven-dry', label: 'Oven-dry' },
] as const;

/** Where the rock comes from, and in what state it is: what is never mixed in one mean. */
export class Lot extends RunInput {
  @ChoiceField({
    label: 'Taken from',
    options: [
      { value: 'borehole', label: 'Borehole' },
      { value: 'face', label: 'Face or excavation' },
      { value: 'heap', label: 'Heap or stockpile' },
    ],
    required: true,
    example: 'borehole',
  })
  source?: 'borehole' | 'face' | 'heap';

  @TextField({ label: 'Location', help: 'Chainage, coordinates, level.', example: '' })
  location?: string;

  @MeasureField({
    label: 'Depth from',
    ...DEPTH,
    example: { US: '41.5', SI: '12.6' },
  })
  depthFrom?: string;

  @MeasureField({
    label: 'Depth to',
    ...DEPTH,
    example: { US: '46', SI: '14.1' },
  })
  depthTo?: string;

  @TextField({
    label: 'Rock',
    help: 'Name and what is seen: grain, colour.',
    required: true,
    example: 'granite',
  })
  rock?: string;

  @ChoiceField({
    label: 'Weathering',
    options: WEATHERING,
    required: true,
    help: 'By a trained eye, never from the strength.',
    example: 'II',
  })
  weathering?: (typeof WEATHERING)[number]['value'];

  @ChoiceField({ label: 'Moisture', options: MOISTURE, required: true, example: 'received' })
  moisture?: (typeof MOISTURE)[number]['value'];
}

/** Pieces of one kind, loaded in one direction to the fabric: what a mean is made of. */
export class Group extends RunInput {
  @ChoiceField({
    label: 'Pieces',
    options: [
      { value: 'rock-lump', label: 'Irregular lumps' },
      { value: 'rock-core', label: 'Core' },
      { value: 'rock-block', label: 'Sawn blocks' },
      { value: 'rock-cylinder', label: 'Core, ends ground, for compression' },
    ],
    required: true,
    example: 'rock-lump',
  })
  pieces?: 'rock-lump' | 'rock-core' | 'rock-block' | 'rock-cylinder';

  @ChoiceField({
    label: 'Load to the fabric',
    options: [
      { value: 'perpendicular', label: 'Across the planes' },
      { value: 'parallel', label: 'Along one plane' },
      { value: 'none', label: 'No fabric seen' },
      { value: 'random', label: 'Not looked at' },
    ],
    required: true,
    example: 'none',
  })
  direction?: 'perpendicular' | 'parallel' | 'none' | 'random';

  @TextField({ label: 'How they were kept', help: 'Wrapped, boxed, in the sun.', example: '' })
  kept?: string;
}
