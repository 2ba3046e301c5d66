import { CEMENT_BALANCE } from '../cement/fields';
import { EquipmentField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const FINE = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.0001', SI: '0.0001' },
  possible: { US: ['0', '5'], SI: ['0', '5'] },
} as const;

/** The cement out of the furnace, without its crucible. */
export class IgnitedRow extends RowInput {
  @MeasureField({
    label: 'Cement, ignited',
    ...FINE,
    required: true,
    help: 'Without the crucible.',
    example: '',
  })
  mass?: string;
}

/** What a cement loses when it is ignited. */
export class CementLossInput extends RunInput {
  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @MeasureField({ label: 'Cement', ...FINE, required: true, example: '1.0012' })
  mass?: string;

  @MeasureField({
    label: 'Furnace',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '1' },
    possible: { US: ['200', '2500'], SI: ['100', '1400'] },
    required: true,
    example: { US: '1742', SI: '950' },
  })
  furnace?: string;

  @RowsField({
    label: 'Weighings',
    row: 'weighing',
    Row: IgnitedRow,
    required: true,
    help: 'A quarter of an hour, then five minutes more each time, until two agree within 0.0005 g.',
    example: {
      US: [['0.9783'], ['0.9781']],
      SI: [['0.9783'], ['0.9781']],
    },
  })
  weighings?: IgnitedRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
