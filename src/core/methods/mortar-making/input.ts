import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const DIAMETER = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.5' },
  possible: { US: ['3.9', '11.9'], SI: ['99', '302'] },
  example: '',
} as const;
const GRAM = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['0.1', '9000'], SI: ['0.1', '9000'] },
} as const;

/** Four diameters of mortar spread on the flow table. */
export class FlowRow extends RowInput {
  @ChoiceField({
    label: 'Flow',
    required: true,
    options: [
      { value: 'first', label: 'as mixed' },
      { value: 'after', label: 'after suction' },
    ],
    example: '',
  })
  when?: 'first' | 'after';

  @MeasureField({ label: 'Diameter 1', ...DIAMETER, required: true })
  d1?: string;
  @MeasureField({ label: '2', ...DIAMETER, required: true })
  d2?: string;
  @MeasureField({ label: '3', ...DIAMETER, required: true })
  d3?: string;
  @MeasureField({ label: '4', ...DIAMETER, required: true })
  d4?: string;
}

/** One material of the batch, for its density without air. */
export class PartRow extends RowInput {
  @TextField({ label: 'Material', required: true, example: '' })
  material?: string;

  @MeasureField({ label: 'Mass', ...GRAM, required: true, example: '' })
  mass?: string;

  @MeasureField({
    label: 'Density, g/cm³',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '0.01', SI: '0.01' },
    possible: { US: ['1', '4'], SI: ['1', '4'] },
    required: true,
    example: '',
  })
  density?: string;
}

/** How mortar was mixed, what it is like fresh, and how its cubes were made and kept. */
export class MortarMakingInput extends RunInput {
  @InstantField({
    label: 'Water in at',
    required: true,
    help: 'The age of the cubes counts from here.',
    example: '2031-06-05T09:10:00-04:00',
  })
  waterAt?: string;

  @InstantField({
    label: 'Taken at',
    aside: true,
    help: 'On site: from the board or the mixer.',
    example: '',
  })
  takenAt?: string;

  @RowsField({
    label: 'Flow',
    Row: FlowRow,
    row: 'flow',
    help: 'Laboratory: 25 drops, four diameters; once more after suction for the retention.',
    example: {
      US: [
        ['first', '8.40', '8.42', '8.38', '8.41'],
        ['after', '7.66', '7.70', '7.64', '7.68'],
      ],
      SI: [
        ['first', '210', '210.5', '209.5', '210'],
        ['after', '191', '192', '190.5', '191.5'],
      ],
    },
  })
  flow?: FlowRow[];

  @MeasureField({
    label: 'Cone penetration',
    dimension: 'length',
    unit: { US: 'mm', SI: 'mm' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '110'], SI: ['0', '110'] },
    aside: true,
    help: 'On site; held beside that of the mortar before the work.',
    held: {
      limit: 'mortar.cone',
      severity: 'advice',
      what: 'The cone went in by',
      action: 'Tell the mason: wetter or stiffer than mortar usually is.',
    },
    example: '',
  })
  cone?: string;

  @RowsField({
    label: 'Materials of the batch',
    Row: PartRow,
    row: 'material',
    help: 'For the air by the cup: mass and density of each but the water.',
    example: {
      US: [
        ['cement', '368', '3.15'],
        ['lime', '78', '2.30'],
        ['sand', '1440', '2.64'],
      ],
      SI: [
        ['cement', '368', '3.15'],
        ['lime', '78', '2.30'],
        ['sand', '1440', '2.64'],
      ],
    },
  })
  parts?: PartRow[];

  @MeasureField({ label: 'Water', ...GRAM, help: 'All of it, mL or g.', example: '352' })
  water?: string;

  @MeasureField({ label: 'Mortar in the cup', ...GRAM, help: 'Struck off level, 400 mL.', example: '762' })
  inCup?: string;

  @InstantField({
    label: 'Cubes filled at',
    required: true,
    help: 'Two layers, 32 strokes each in four rounds.',
    example: '2031-06-05T09:22:00-04:00',
  })
  filledAt?: string;

  @InstantField({ label: 'Out of the moulds at', required: true, example: '2031-06-07T10:00:00-04:00' })
  demouldedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Retempered, hot, windy.', example: '' })
  remarks?: string;
}
