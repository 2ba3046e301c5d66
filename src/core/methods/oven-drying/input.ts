import { HOTTEST, ODD, OVEN_LOG, OVEN_USED, TEMPERATURE, WEIGHINGS } from '../drying/field-specs';
import { OvenRow, WeighingRow } from '../drying/rows';
import { EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** The readings of an oven full of specimens. */
export class OvenDryingInput extends RunInput {
  @EquipmentField(OVEN_USED)
  oven?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @MeasureField({
    ...TEMPERATURE,
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
    ...HOTTEST,
    held: {
      limit: 'oven.stop',
      severity: 'invalid',
      what: 'The oven reached',
      action: 'These specimens are not used for anything that rests on their dry mass.',
    },
  })
  hottest?: string;

  @InstantField({ label: 'In the oven at', required: true, example: '2031-05-21T10:20:00-04:00' })
  inAt?: string;

  @RowsField({
    ...WEIGHINGS,
    Row: WeighingRow,
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

  @RowsField({
    ...OVEN_LOG,
    Row: OvenRow,
    example: {
      US: [
        ['2031-05-21T12:00:00-04:00', '229'],
        ['2031-05-22T06:00:00-04:00', '231'],
      ],
      SI: [
        ['2031-05-21T12:00:00-04:00', '109'],
        ['2031-05-22T06:00:00-04:00', '111'],
      ],
    },
  })
  log?: OvenRow[];

  @InstantField({ label: 'All dry at', required: true, example: '2031-05-22T12:40:00-04:00' })
  dryAt?: string;

  @TextField(ODD)
  remarks?: string;
}
