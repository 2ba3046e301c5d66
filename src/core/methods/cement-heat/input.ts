import { GRAM } from '../cement/fields';
import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RecordField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { countSpec, percentSpec, SECONDS } from '../specs';

/** A mass in a vial, g. */
const IN_VIAL = {
  ...GRAM,
  step: { US: '0.01', SI: '0.01' },
  possible: { US: ['0', '500'], SI: ['0', '500'] },
} as const;
/** A level of a cell with nothing in it that gives off heat, as the record has it. */
const LEVEL = {
  ...countSpec('0.001', '1000'),
  possible: { US: ['-1000', '1000'], SI: ['-1000', '1000'] },
} as const;

/** A cell of the calorimeter with what was put into it. */
export class CellRow extends RowInput {
  @TextField({ label: 'Cell', required: true, help: 'As its record calls it.', example: '' })
  channel?: string;

  @TextField({ label: 'What it is', help: 'As it came, or what is otherwise.', example: '' })
  what?: string;

  @MeasureField({ label: 'Cement', ...IN_VIAL, required: true, example: '' })
  cement?: string;

  @MeasureField({
    label: 'Water',
    ...IN_VIAL,
    required: true,
    help: 'A solution counts as water.',
    example: '',
  })
  water?: string;

  @MeasureField({ label: 'Paste in the vial', ...IN_VIAL, required: true, example: '' })
  paste?: string;

  @InstantField({ label: 'Water met cement at', required: true, seconds: true, example: '' })
  contactAt?: string;

  @InstantField({ label: 'Put in at', required: true, seconds: true, example: '' })
  insertedAt?: string;

  @MeasureField({ label: 'Sand', ...IN_VIAL, example: '' })
  sand?: string;

  @MeasureField({ label: 'Other solid', ...IN_VIAL, example: '' })
  other?: string;

  @ChoiceField({
    label: 'Which',
    options: [
      { value: 'slag', label: 'Slag' },
      { value: 'fly-ash', label: 'Fly ash' },
      { value: 'silica-fume', label: 'Silica fume' },
      { value: 'limestone', label: 'Limestone powder' },
    ],
    example: '',
  })
  otherKind?: 'slag' | 'fly-ash' | 'silica-fume' | 'limestone';

  @MeasureField({
    label: 'Sulfate added',
    ...IN_VIAL,
    step: { US: '0.001', SI: '0.001' },
    help: 'Ground to it for a series.',
    example: '',
  })
  sulfate?: string;

  @TextField({ label: 'Admixture', help: 'Which, and how much.', example: '' })
  admixture?: string;

  @ChoiceField({
    label: 'Reference',
    options: [
      { value: 'water', label: 'Water' },
      { value: 'sand', label: 'Dry sand' },
      { value: 'both', label: 'Sand and water' },
    ],
    example: '',
  })
  reference?: 'water' | 'sand' | 'both';

  @MeasureField({ label: 'Water of it', ...IN_VIAL, example: '' })
  referenceWater?: string;

  @MeasureField({ label: 'Sand of it', ...IN_VIAL, example: '' })
  referenceSand?: string;

  @MeasureField({
    label: 'Vial lost',
    ...IN_VIAL,
    step: { US: '0.001', SI: '0.001' },
    help: 'Weighed before and after.',
    example: '',
  })
  lost?: string;

  @MeasureField({ label: 'Baseline before', ...LEVEL, help: 'Only where the record has none.', example: '' })
  before?: string;

  @MeasureField({ label: 'Baseline after', ...LEVEL, example: '' })
  after?: string;
}

/** A calibration of a cell by its heater, steady or by a pulse. */
export class HeaterRow extends RowInput {
  @TextField({ label: 'Cell', required: true, example: '' })
  channel?: string;

  @MeasureField({ label: 'Heater, V', ...countSpec('0.001', '100'), required: true, example: '' })
  volts?: string;

  @MeasureField({ label: 'Heater, ohms', ...countSpec('0.1', '100000'), required: true, example: '' })
  ohms?: string;

  @MeasureField({ label: 'Steady, mV', ...LEVEL, example: '' })
  steady?: string;

  @MeasureField({ label: 'Without, mV', ...LEVEL, example: '' })
  without?: string;

  @MeasureField({ label: 'Or a pulse of', ...SECONDS, example: '' })
  pulse?: string;

  @MeasureField({
    label: 'under it, mV·s',
    ...countSpec('0.01', '10000000'),
    help: 'The area of the pulse over the voltage without it.',
    example: '',
  })
  area?: string;

  @MeasureField({ label: 'The time before, W/V', ...countSpec('0.001', '1000'), example: '' })
  earlier?: string;
}

export const MARKS = ['main', 'half', 'lowest', 'ends', 'second', 'used-up'] as const;
export type MarkName = (typeof MARKS)[number];

/** A place on a curve that a person puts elsewhere than it was found; both are kept. */
export class MovedRow extends RowInput {
  @TextField({ label: 'Cell', required: true, example: '' })
  channel?: string;

  @ChoiceField({
    label: 'Mark',
    required: true,
    options: [
      { value: 'lowest', label: 'Bottom of the induction' },
      { value: 'ends', label: 'End of the induction' },
      { value: 'half', label: 'Half of the maximum' },
      { value: 'main', label: 'Main maximum' },
      { value: 'used-up', label: 'Sulfate used up' },
      { value: 'second', label: 'Second maximum or shoulder' },
    ],
    example: '',
  })
  mark?: MarkName;

  @MeasureField({
    label: 'At, h since the water',
    dimension: 'duration',
    unit: { US: 'h', SI: 'h' },
    step: { US: '0.01', SI: '0.01' },
    possible: { US: ['0', '400'], SI: ['0', '400'] },
    required: true,
    example: '',
  })
  at?: string;

  @TextField({ label: 'Why', required: true, example: '' })
  why?: string;
}

const cellOf = (channel: string, minute: number): string[] => [
  ...[channel, 'as it came', '10.00', '5.00', '12.00'],
  `2031-09-12T10:${String(minute).padStart(2, '0')}:00-04:00`,
  `2031-09-12T10:${String(minute + 6).padStart(2, '0')}:00-04:00`,
  ...['', '', '', '', '', 'water', '5.43', '', '0.002', '', ''],
];
const CELLS = [cellOf('A', 0), cellOf('B', 12)];

/** Heat of a cement by the power that it gives off at one temperature, cell by cell. */
export class CementHeatInput extends RunInput {
  @EquipmentField({
    label: 'Calorimeter',
    equipmentKind: 'calorimeter',
    carry: true,
    required: true,
    example: 'CAL-1',
  })
  calorimeter?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @MeasureField({
    label: 'Temperature of the bath',
    dimension: 'temperature',
    unit: { US: 'degC', SI: 'degC' },
    step: { US: '0.01', SI: '0.01' },
    possible: { US: ['0', '90'], SI: ['0', '90'] },
    required: true,
    carry: true,
    example: '23.00',
  })
  bath?: string;

  @ChoiceField({
    label: 'Mixed',
    required: true,
    carry: true,
    options: [
      { value: 'outside', label: 'Outside, then put in (method B)' },
      { value: 'inside', label: 'In the cell (method A)' },
    ],
    example: 'outside',
  })
  mixed?: 'outside' | 'inside';

  @ChoiceField({
    label: 'Followed for',
    required: true,
    carry: true,
    options: [
      { value: '1', label: 'A day' },
      { value: '3', label: 'Three days' },
      { value: '7', label: 'A week' },
    ],
    example: '3',
  })
  days?: '1' | '3' | '7';

  @MeasureField({
    label: 'Materials stood at its temperature for',
    dimension: 'duration',
    unit: { US: 'h', SI: 'h' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '168'], SI: ['0', '168'] },
    held: {
      limit: 'heat.conditioned',
      severity: 'advice',
      what: 'Materials stood for',
      action: 'Warm or cold, they bring heat of their own with them: the first hour tells less.',
    },
    example: '24',
  })
  conditioned?: string;

  @CheckField({
    label: 'At the temperature and water of a job',
    help: 'Then it is told for that, and held to no limit of heat.',
  })
  ofJob?: boolean;

  @MeasureField({
    label: 'Sulfate of the cement, SO₃',
    ...percentSpec('0.01', '10'),
    rare: true,
    help: 'For a series of sulfate.',
    example: '',
  })
  sulfate?: string;

  @ChoiceField({
    label: 'Sulfate is added as',
    rare: true,
    options: [
      { value: 'gypsum', label: 'Gypsum' },
      { value: 'hemihydrate', label: 'Hemihydrate' },
      { value: 'anhydrite', label: 'Anhydrite' },
    ],
    example: '',
  })
  sulfateAs?: 'gypsum' | 'hemihydrate' | 'anhydrite';

  @MeasureField({ label: 'Its purity', ...percentSpec('0.1', '100'), rare: true, example: '' })
  purity?: string;

  @RowsField({
    label: 'Cells',
    row: 'cell',
    Row: CellRow,
    required: true,
    help: 'Two of the cement as it came, at the least; beside them admixtures, other dosages, a series of sulfate.',
    example: { US: CELLS, SI: CELLS },
  })
  cells?: CellRow[];

  @RecordField({
    label: 'Record of the calorimeter',
    records: 'heat',
    help: 'Its file, or read out over its line: from an hour before the first water on.',
    required: true,
    example: 'example-heat.csv',
  })
  record?: string;

  @InstantField({
    label: 'Record began at',
    rare: true,
    help: 'Only where its rows count from nought and have no date.',
    example: '',
  })
  beganAt?: string;

  @InstantField({
    label: 'Something inert was put in again at',
    rare: true,
    help: 'For a baseline behind it: an hour or more.',
    example: '',
  })
  inertAt?: string;

  @MeasureField({
    label: 'Lag of the calorimeter that is taken out',
    ...SECONDS,
    rare: true,
    help: 'Only for early peaks, and only where it is known.',
    example: '',
  })
  lag?: string;

  @MeasureField({ label: 'Its range, mW', ...countSpec('0.1', '100000'), rare: true, example: '' })
  range?: string;

  @RowsField({
    label: 'Calibration by the heater',
    row: 'cell',
    Row: HeaterRow,
    help: 'Of a record in volts.',
    example: { US: [], SI: [] },
  })
  heater?: HeaterRow[];

  @RowsField({
    label: 'Marks put elsewhere',
    row: 'mark',
    Row: MovedRow,
    help: 'Pull a mark on the curve, or type it: both are kept, with the reason.',
    example: { US: [], SI: [] },
  })
  moved?: MovedRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-15T11:00:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
