import { EquipmentField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const LONG = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.0001', SI: '0.002' },
  possible: { US: ['0', '2'], SI: ['0', '50'] },
} as const;
const MINUTES = {
  dimension: 'duration',
  unit: { US: 'min', SI: 'min' },
  step: { US: '1', SI: '1' },
  possible: { US: ['0', '1440'], SI: ['0', '1440'] },
} as const;

/** A bar before and after the autoclave, as the comparator shows it. */
export class BarRow extends RowInput {
  @TextField({ label: 'Bar', required: true, example: '' })
  mark?: string;

  @MeasureField({
    label: 'Before',
    ...LONG,
    required: true,
    help: 'Comparator, its zero at the reference bar.',
    example: '',
  })
  before?: string;

  @MeasureField({ label: 'After', ...LONG, required: true, example: '' })
  after?: string;
}

/** Two bars of paste in the autoclave. */
export class CementAutoclaveInput extends RunInput {
  @EquipmentField({ label: 'Comparator', equipmentKind: 'length comparator', carry: true, example: 'LC-1' })
  comparator?: string;

  @EquipmentField({ label: 'Autoclave', equipmentKind: 'autoclave', carry: true, example: 'AC-1' })
  autoclave?: string;

  @MeasureField({
    label: 'Age when they were measured first',
    dimension: 'duration',
    unit: { US: 'h', SI: 'h' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['1', '200'], SI: ['1', '200'] },
    required: true,
    example: '24.0',
  })
  age?: string;

  @MeasureField({ label: 'Up to pressure in', ...MINUTES, required: true, example: '60' })
  up?: string;

  @MeasureField({
    label: 'Pressure',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['0', '400'], SI: ['0', '3'] },
    required: true,
    example: { US: '296', SI: '2.01' },
  })
  pressure?: string;

  @MeasureField({ label: 'Held for', ...MINUTES, required: true, example: '182' })
  held?: string;

  @MeasureField({ label: 'Down in', ...MINUTES, required: true, example: '80' })
  down?: string;

  @RowsField({
    label: 'Bars',
    row: 'bar',
    Row: BarRow,
    required: true,
    example: {
      US: [
        ['1', '0.1523', '0.1601'],
        ['2', '0.1498', '0.1571'],
      ],
      SI: [
        ['1', '3.860', '4.056'],
        ['2', '3.812', '3.996'],
      ],
    },
  })
  bars?: BarRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
