import { ChoiceField, MeasureField, TextField } from '../fields';
import { LENGTH, LOADING_RATE } from '../press/field-specs';
import { InPressInput } from '../press/specimen-input';
import { RowsField } from '../rows-field';
import { EndRow } from './rows';

const DIAMETER = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.001', SI: '0.01' },
  possible: { US: ['0.5', '8'], SI: ['12', '200'] },
} as const;
const LONG = { ...LENGTH, step: { US: '0.01', SI: '0.1' } } as const;

/** The readings of a core of rock, from the grinder to the press. */
export class RockCompressionInput extends InPressInput {
  @ChoiceField({
    label: 'Cracks in it',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      { value: 'closed', label: 'A joint or vein, closed' },
      {
        value: 'open',
        label: 'Open',
        means: {
          id: 'ucs.cracked',
          severity: 'invalid',
          beforeLoad: true,
          message: 'There is an open crack in it.',
          action: 'Take another length of the core.',
        },
      },
    ],
    example: 'none',
  })
  cracked?: 'none' | 'closed' | 'open';

  @MeasureField({
    label: 'Largest grain',
    ...DIAMETER,
    step: { US: '0.01', SI: '0.1' },
    possible: { US: ['0', '2'], SI: ['0', '50'] },
    help: 'Across the largest crystal or pebble that is seen.',
    example: { US: '0.12', SI: '3' },
  })
  grain?: string;

  @MeasureField({
    label: 'Fabric to the axis',
    dimension: 'angle',
    unit: { US: 'deg', SI: 'deg' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '90'], SI: ['0', '90'] },
    aside: true,
    help: '0 along the axis, 90 across it; left open where none is seen.',
    example: '',
  })
  fabric?: string;

  @MeasureField({
    label: 'Diameter, top',
    ...DIAMETER,
    required: true,
    help: 'Three heights, two each at right angles.',
    example: { US: '2.127', SI: '54.03' },
  })
  top1?: string;

  @MeasureField({ label: 'Diameter, top, across', ...DIAMETER, example: { US: '2.130', SI: '54.11' } })
  top2?: string;

  @MeasureField({
    label: 'Diameter, middle',
    ...DIAMETER,
    required: true,
    example: { US: '2.128', SI: '54.06' },
  })
  middle1?: string;

  @MeasureField({ label: 'Diameter, middle, across', ...DIAMETER, example: { US: '2.129', SI: '54.07' } })
  middle2?: string;

  @MeasureField({
    label: 'Diameter, bottom',
    ...DIAMETER,
    required: true,
    example: { US: '2.127', SI: '54.05' },
  })
  bottom1?: string;

  @MeasureField({ label: 'Diameter, bottom, across', ...DIAMETER, example: { US: '2.131', SI: '54.12' } })
  bottom2?: string;

  @MeasureField({
    label: 'Length',
    ...LONG,
    required: true,
    help: 'After the ends are ground; three places round it.',
    example: { US: '4.65', SI: '118.1' },
  })
  length1?: string;

  @MeasureField({ label: 'Length, second place', ...LONG, example: { US: '4.66', SI: '118.3' } })
  length2?: string;

  @MeasureField({ label: 'Length, third place', ...LONG, example: { US: '4.65', SI: '118.2' } })
  length3?: string;

  @MeasureField({
    label: 'Mass',
    dimension: 'mass',
    unit: { US: 'g', SI: 'g' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['20', '50000'], SI: ['20', '50000'] },
    aside: true,
    help: 'For its density.',
    example: { US: '714.6', SI: '714.6' },
  })
  mass?: string;

  @ChoiceField({
    label: 'Ends',
    required: true,
    carry: true,
    options: [
      { value: 'ground', label: 'Ground, nothing on them' },
      {
        value: 'compound',
        label: 'Capped',
        means: {
          id: 'ucs.capped',
          severity: 'departure',
          beforeLoad: true,
          message: 'The ends of rock are ground, never capped.',
          action: 'Grind it; a cap makes of it another test.',
          remark: 'Tested with caps on its ends.',
        },
      },
      {
        value: 'lubricant',
        label: 'With a lubricant or a sheet',
        means: {
          id: 'ucs.lubricated',
          severity: 'departure',
          beforeLoad: true,
          message: 'What lies between platen and end changes how it fails.',
          action: 'Wipe it off: the platens bear on the rock.',
          remark: 'Tested with a lubricant or a sheet on its ends.',
        },
      },
    ],
    example: 'ground',
  })
  ends?: 'ground' | 'compound' | 'lubricant';

  @MeasureField({
    label: 'Gap along the side',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.001', SI: '0.01' },
    possible: { US: ['0', '0.5'], SI: ['0', '12'] },
    help: 'Rolled on the flat plate: the thickest feeler that goes under it; 0 for none.',
    example: { US: '0.006', SI: '0.15' },
  })
  side?: string;

  @ChoiceField({
    label: 'Dial on the second end',
    carry: true,
    options: [
      { value: 'outward', label: 'Plus where that end stands out, as on the first' },
      { value: 'turned', label: 'Kept as it was: plus towards the first end' },
    ],
    help: 'Left open, plus is outward on both.',
    example: 'outward',
  })
  sense?: 'outward' | 'turned';

  @RowsField({
    label: 'Readings of the ends',
    row: 'reading',
    Row: EndRow,
    help: 'Along two diameters at right angles, an eighth of an inch (3 mm) apart, the same diameters on both ends, both from the marked side.',
    example: {
      US: [
        ['1A', '0', '0'],
        ['1A', '0.5', '0.0004'],
        ['1A', '1', '0.0007'],
        ['1A', '1.5', '0.0013'],
        ['1A', '2', '0.0016'],
        ['2A', '0', '0.0012'],
        ['2A', '0.5', '0.0009'],
        ['2A', '1', '0.0005'],
        ['2A', '1.5', '0.0003'],
        ['2A', '2', '0'],
        ['1B', '0', '0.0003'],
        ['1B', '1', '0.0002'],
        ['1B', '2', '0.0004'],
        ['2B', '0', '0.0001'],
        ['2B', '1', '0.0002'],
        ['2B', '2', '0'],
      ],
      SI: [
        ['1A', '0', '0'],
        ['1A', '13', '0.009'],
        ['1A', '26', '0.019'],
        ['1A', '39', '0.031'],
        ['1A', '52', '0.040'],
        ['2A', '0', '0.031'],
        ['2A', '13', '0.024'],
        ['2A', '26', '0.014'],
        ['2A', '39', '0.007'],
        ['2A', '52', '0'],
        ['1B', '0', '0.008'],
        ['1B', '26', '0.006'],
        ['1B', '52', '0.011'],
        ['2B', '0', '0.003'],
        ['2B', '26', '0.006'],
        ['2B', '52', '0'],
      ],
    },
  })
  endReadings?: EndRow[];

  @ChoiceField({
    label: 'Driven by',
    carry: true,
    options: [
      { value: 'stress', label: 'A steady rate of the stress' },
      { value: 'strain', label: 'A steady speed of the crosshead' },
    ],
    help: 'By the stress where it then takes two minutes and more; weak rock goes by the crosshead.',
    example: 'stress',
  })
  control?: 'stress' | 'strain';

  @MeasureField({
    ...LOADING_RATE,
    label: 'Rate chosen',
    help: 'As it is set before the load.',
    aside: true,
    example: '',
  })
  chosenRate?: string;

  @MeasureField({ ...LOADING_RATE, help: 'As it was, if it was read.', example: { US: '110', SI: '0.75' } })
  loadingRate?: string;

  @MeasureField({
    label: 'Held when it was set to zero',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['0', '20000'], SI: ['0', '90'] },
    aside: true,
    rare: true,
    help: 'Zero is set before contact. Where it was not: the load that stood on it then, which is added.',
    example: '',
  })
  heldAtZero?: string;

  @MeasureField({
    label: 'Time to failure',
    dimension: 'duration',
    unit: { US: 's', SI: 's' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '14400'], SI: ['1', '14400'] },
    help: 'From the first load to the peak, by stopwatch; a record that is kept says it by itself.',
    example: { US: '150', SI: '150' },
  })
  time?: string;

  @ChoiceField({
    label: 'How it failed',
    required: true,
    options: [
      { value: 'splitting', label: 'Split along the axis', drawing: 'rock-splitting' },
      { value: 'shear', label: 'One leaning plane', drawing: 'rock-shear' },
      { value: 'cone', label: 'Cones, or two leaning planes', drawing: 'rock-cone' },
      { value: 'multiple', label: 'Many cracks', drawing: 'rock-multiple' },
      { value: 'fabric', label: 'Along its foliation or bedding', drawing: 'rock-fabric' },
      { value: 'joint', label: 'Along an old joint or vein', drawing: 'rock-joint' },
      { value: 'spall', label: 'A piece off one end only', drawing: 'rock-spall' },
      {
        value: 'handling',
        label: 'It came apart before the peak, by handling',
        means: {
          id: 'ucs.handled',
          severity: 'invalid',
          message: 'It came apart before it was tested.',
          action: 'It has no strength to report: take another.',
        },
      },
    ],
    example: 'shear',
  })
  failure?: 'splitting' | 'shear' | 'cone' | 'multiple' | 'fabric' | 'joint' | 'spall' | 'handling';

  @MeasureField({
    label: 'Angle of the plane to the axis',
    dimension: 'angle',
    unit: { US: 'deg', SI: 'deg' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '90'], SI: ['0', '90'] },
    aside: true,
    help: 'Of one leaning plane.',
    example: { US: '28', SI: '28' },
  })
  failureAngle?: string;

  @ChoiceField({
    label: 'Print beside it',
    aside: true,
    rare: true,
    options: [
      { value: 'two', label: 'Taken to twice as long as wide' },
      { value: 'one', label: 'Taken to as long as wide' },
      { value: 'size', label: 'Taken to a diameter of 50 mm' },
    ],
    help: 'Never instead of what was found, and no standard in force asks for it.',
    example: '',
  })
  beside?: 'two' | 'one' | 'size';

  @TextField({
    label: 'Pieces kept',
    aside: true,
    help: 'Bag for the water content, photograph.',
    example: '',
  })
  kept?: string;
}
