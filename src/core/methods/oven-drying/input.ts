import { WeighingRow } from '../drying/rows';
import { EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const OVEN = {
  dimension: 'temperature',
  unit: { US: 'degF', SI: 'degC' },
  step: { US: '1', SI: '1' },
  possible: { US: ['50', '600'], SI: ['10', '315'] },
} as const;

/** The readings of an oven full of specimens. */
export class OvenDryingInput extends RunInput {
  @EquipmentField({ label: 'Oven', equipmentKind: 'oven', carry: true, example: 'OVEN-1' })
  oven?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @MeasureField({
    label: 'Oven',
    ...OVEN,
    required: true,
    held: {
      limit: 'oven.temperature',
      severity: 'departure',
      what: 'The oven is at',
      action: 'Set it right and note it: hotter takes more out than water, cooler leaves some in.',
    },
    example: { US: '230', SI: '110' },
  })
  temperature?: string;

  @MeasureField({
    label: 'Hottest while they were in',
    ...OVEN,
    aside: true,
    help: 'By its recorder.',
    held: {
      limit: 'oven.stop',
      severity: 'invalid',
      what: 'The oven reached',
      action: 'These specimens are not used for anything that rests on their dry mass.',
    },
    example: '',
  })
  hottest?: string;

  @InstantField({ label: 'In the oven at', required: true, example: '2031-05-21T10:20:00-04:00' })
  inAt?: string;

  @RowsField({
    label: 'Weighings',
    Row: WeighingRow,
    row: 'weighing',
    required: true,
    help: 'From a day on, every two hours, until two in a row differ by no more than 0.2 %.',
    example: {
      US: [
        ['EXAMPLE-A', '31.64', '2031-05-22T10:25:00-04:00'],
        ['EXAMPLE-A', '31.60', '2031-05-22T12:25:00-04:00'],
        ['EXAMPLE-B', '31.82', '2031-05-22T10:28:00-04:00'],
        ['EXAMPLE-B', '31.77', '2031-05-22T12:28:00-04:00'],
      ],
      SI: [
        ['EXAMPLE-A', '14.350', '2031-05-22T10:25:00-04:00'],
        ['EXAMPLE-A', '14.335', '2031-05-22T12:25:00-04:00'],
        ['EXAMPLE-B', '14.430', '2031-05-22T10:28:00-04:00'],
        ['EXAMPLE-B', '14.410', '2031-05-22T12:28:00-04:00'],
      ],
    },
  })
  weighings?: WeighingRow[];

  @InstantField({ label: 'All dry at', required: true, example: '2031-05-22T12:40:00-04:00' })
  dryAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Door open, power gone, a corner lost.', example: '' })
  remarks?: string;
}
