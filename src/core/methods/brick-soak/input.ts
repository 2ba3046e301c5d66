import { OUT_AT, WATER, WATER_HELD, WIPED } from '../brick/field-specs';
import type { WipedRow } from '../brick/weighed';
import { EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** The readings of halves in cold water. */
export class BrickSoakInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @InstantField({ label: 'Under water at', required: true, example: '2031-05-22T10:15:00-04:00' })
  inAt?: string;

  @MeasureField({
    label: 'Water',
    ...WATER,
    possible: { US: ['32', '120'], SI: ['0', '49'] },
    held: {
      ...WATER_HELD,
      action: 'Bring it into its range; else dry the halves and soak them again.',
    },
    example: { US: '72', SI: '22' },
  })
  water?: string;

  @InstantField({ ...OUT_AT, example: '2031-05-23T10:15:00-04:00' })
  outAt?: string;

  @RowsField({
    ...WIPED,
    example: {
      US: [
        ['EXAMPLE-B1A', '994.5', '40', '2031-05-23T10:18:00-04:00'],
        ['EXAMPLE-B2A', '1003.0', '45', '2031-05-23T10:20:00-04:00'],
      ],
      SI: [
        ['EXAMPLE-B1A', '994.5', '40', '2031-05-23T10:18:00-04:00'],
        ['EXAMPLE-B2A', '1003.0', '45', '2031-05-23T10:20:00-04:00'],
      ],
    },
  })
  halves?: WipedRow[];

  @InstantField({ label: 'All weighed at', required: true, example: '2031-05-23T10:30:00-04:00' })
  weighedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'A chip, a half that was not covered.', example: '' })
  remarks?: string;
}
