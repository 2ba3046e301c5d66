import { ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { LONG, SMALL } from '../../methods/pipe/field-specs';
import { countSpec, lengthSpec, percentSpec } from '../../methods/specs';
import { JOINTS, PIPE_CLASSES } from '../../pipe/product';

const SPAN = {
  ...lengthSpec(['0.125', '200'], ['1', '5000']),
  possible: { US: ['3', '200'], SI: ['75', '5000'] },
} as const;
const D_LOAD = {
  dimension: 'dLoad',
  unit: { US: 'lbf/ft/ft', SI: 'N/m/mm' },
  step: { US: '10', SI: '1' },
  possible: { US: ['100', '20000'], SI: ['5', '960'] },
} as const;

const ON_LENGTH = {
  dimension: 'lineLoad',
  unit: { US: 'lbf/ft', SI: 'kN/m' },
  step: { US: '50', SI: '0.5' },
  possible: { US: ['500', '60000'], SI: ['7', '900'] },
} as const;

/** One size and class of pipe, as it is ordered and drawn. */
export class Asked extends RunInput {
  @ChoiceField({ label: 'Class', options: PIPE_CLASSES, required: true, example: 'c76-III' })
  design?: string;

  @MeasureField({
    label: 'Inside diameter, or inside span',
    ...SPAN,
    required: true,
    help: 'As designated, never as measured. Of an arch or an ellipse its opening from side to side as it lies: of one that stands upright that is the smaller number.',
    example: { US: '36 in', SI: '900 mm' },
  })
  span?: string;

  @MeasureField({
    label: 'Rise',
    ...SPAN,
    help: 'Of an arch or an ellipse: its opening from bottom to top as it lies.',
    example: '',
  })
  rise?: string;

  @ChoiceField({
    label: 'Wall by its letter',
    options: [
      { value: 'A', label: 'A' },
      { value: 'B', label: 'B' },
      { value: 'C', label: 'C' },
    ],
    help: 'Round pipe in inches; the thickness follows.',
    example: 'B',
  })
  wallLetter?: 'A' | 'B' | 'C';

  @MeasureField({ label: 'Wall, as designed', ...SMALL, help: 'Where it has no letter.', example: '' })
  wall?: string;

  @ChoiceField({
    label: 'Joint',
    options: JOINTS,
    required: true,
    help: 'It decides the length that the D-load is told by, and so at which load the test is stopped.',
    example: 'tongue',
  })
  joint?: (typeof JOINTS)[number]['value'];

  @MeasureField({
    label: 'Overall length',
    ...LONG,
    required: true,
    example: { US: '8.29 ft', SI: '2.53 m' },
  })
  overall?: string;

  @MeasureField({
    label: 'Tongue, or depth of the bell',
    ...SMALL,
    help: 'By the drawing of the joint: it is taken off the overall length.',
    example: { US: '3.5 in', SI: '90 mm' },
  })
  jointDepth?: string;

  @MeasureField({
    label: 'Test length of a special end',
    rare: true,
    ...LONG,
    help: 'By its drawing.',
    example: '',
  })
  testLength?: string;

  @TextField({ label: 'Which drawing', rare: true, help: 'Its number, for a special end.', example: '' })
  testLengthFrom?: string;

  @MeasureField({
    label: 'D-load at the 0.01 in crack',
    ...D_LOAD,
    help: 'As ordered, for C655 and special designs; left open, that of the class.',
    example: '',
  })
  crackLoad?: string;

  @MeasureField({
    label: 'Ultimate D-load',
    ...D_LOAD,
    help: 'Left open, that of the class; of C655 it follows from the one above.',
    example: '',
  })
  mostLoad?: string;

  @TextField({
    label: 'Number of its class',
    rare: true,
    help: 'EN 1916: kN/m for each 1,000 mm of diameter, as 135. AS/NZS 4058: as 4.',
    example: '',
  })
  classNumber?: string;

  @MeasureField({
    label: 'Load on its length at the crack',
    rare: true,
    ...ON_LENGTH,
    help: 'AS/NZS 4058 the proof load, IS 458 the load at the crack; of EN 1916 it follows from the class.',
    example: '',
  })
  footCrackLoad?: string;

  @MeasureField({
    label: 'Ultimate load on its length',
    rare: true,
    ...ON_LENGTH,
    help: 'Pipe that is not reinforced, or of EN, AS/NZS, IS: left open, that of its class and size where one follows.',
    example: '',
  })
  footLoad?: string;

  @MeasureField({
    label: 'Strength of its concrete',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['500', '20000'], SI: ['3', '140'] },
    help: 'As its class has it: 4,000, 5,000 or 6,000 psi. Cores are held against it.',
    example: { US: '5,000 psi', SI: '35 MPa' },
  })
  specifiedStrength?: string;

  @ChoiceField({
    label: 'Absorption by',
    options: [
      { value: 'a', label: 'Method A: boiled five hours' },
      { value: 'b', label: 'Method B: boiled three hours, cores' },
    ],
    help: 'Left open, method A.',
    rare: true,
    example: '',
  })
  absorptionBy?: 'a' | 'b';

  @MeasureField({
    label: 'Absorption at most',
    rare: true,
    ...percentSpec('0.1', '20'),
    help: 'Where the owner asks for less than the standard: 9.0 % by method A, 8.5 % by B.',
    example: '',
  })
  absorptionMost?: string;

  @MeasureField({
    label: 'Tests each calendar year',
    ...countSpec('1', '200'),
    help: 'Left open, one of this size and class.',
    example: '',
  })
  yearTests?: string;

  @MeasureField({
    label: 'or a share of the pipes made',
    ...percentSpec('0.1', '100'),
    help: 'Where customer or certificate asks for one: the strictest rule counts.',
    example: '',
  })
  yearShare?: string;

  @MeasureField({
    label: 'or one for so many pipes',
    ...countSpec('1', '100000'),
    example: '',
  })
  yearEach?: string;

  @ChoiceField({
    label: 'A year is judged',
    rare: true,
    options: [
      { value: 'each', label: 'Pipe by pipe, two others for each that failed' },
      { value: 'together', label: 'Together, by mean and scatter of the D-loads (C655)' },
    ],
    help: 'Left open, pipe by pipe. Together only where the order by C655 says so.',
    example: '',
  })
  judged?: 'each' | 'together';

  @TextField({ label: 'Whose rule', help: 'Customer, certificate, with its date.', example: '' })
  yearFrom?: string;
}

/** What a plant makes of one size and class in a calendar year. */
export class Lot extends RunInput {
  @TextField({ label: 'Calendar year', required: true, help: 'Of its making.', example: '2031' })
  year?: string;

  @TextField({ label: 'Plant', required: true, help: 'Who makes it, and where.', example: 'Yard 2' })
  plant?: string;

  @TextField({ label: 'Order', help: 'Number, and for what.', example: '' })
  order?: string;
}

/** One pipe that is drawn for testing, or cut up for it. */
export class Drawn extends RunInput {
  @TextField({
    label: 'Mark',
    required: true,
    help: 'Its serial number. A pipe is tested once only.',
    example: 'M-2214',
  })
  mark?: string;

  @ChoiceField({
    label: 'Drawn for',
    options: [
      { value: 'year', label: 'The test of the year' },
      { value: 'customer', label: 'A customer or a certificate' },
      { value: 'retest', label: 'In place of one that failed' },
      { value: 'parts', label: 'Pieces and cores only' },
    ],
    required: true,
    example: 'year',
  })
  drawn?: 'year' | 'customer' | 'retest' | 'parts';

  @TextField({
    label: 'Mark of the one that failed',
    help: 'Two others are tested for each that failed.',
    example: '',
  })
  retestOf?: string;

  @InstantField({ label: 'Cast', required: true, example: '2031-09-02T07:00:00-04:00' })
  castAt?: string;

  @ChoiceField({
    label: 'Cage',
    options: [
      { value: 'circular', label: 'Circular' },
      { value: 'elliptical', label: 'Elliptical: it has a top' },
      { value: 'quadrant', label: 'Quadrant mats: it has a top' },
      { value: 'none', label: 'None' },
    ],
    required: true,
    example: 'elliptical',
  })
  cage?: 'circular' | 'elliptical' | 'quadrant' | 'none';
}
