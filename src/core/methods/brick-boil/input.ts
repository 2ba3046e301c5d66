import { OUT_AT, WATER, WATER_HELD, WIPED } from '../brick/field-specs';
import type { WipedRow } from '../brick/weighed';
import { ChoiceField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** The readings of halves that are boiled. */
export class BrickBoilInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @InstantField({ label: 'Heat on at', required: true, example: '2031-05-23T10:45:00-04:00' })
  heatAt?: string;

  @InstantField({ label: 'Boiling at', required: true, example: '2031-05-23T11:35:00-04:00' })
  boilingAt?: string;

  @ChoiceField({
    label: 'Boiled',
    required: true,
    options: [
      { value: 'through', label: 'Without a break' },
      {
        value: 'short',
        label: 'Stopped for no more than 5 min',
        means: {
          id: 'brick.boil-short',
          severity: 'departure',
          message: 'The boil stopped for a moment.',
          action: 'Add the time to the five hours.',
          remark: 'Boil interrupted for no more than 5 min.',
        },
      },
      {
        value: 'broken',
        label: 'Stopped longer',
        means: {
          id: 'brick.boil-broken',
          severity: 'invalid',
          message: 'The boil was interrupted for more than 5 min.',
          action: 'Boil the halves again, five hours from when they boil.',
        },
      },
    ],
    example: 'through',
  })
  boiled?: 'through' | 'short' | 'broken';

  @InstantField({ label: 'Heat off at', required: true, example: '2031-05-23T16:40:00-04:00' })
  offAt?: string;

  @MeasureField({
    label: 'Water before they come out',
    ...WATER,
    possible: { US: ['32', '215'], SI: ['0', '102'] },
    held: {
      ...WATER_HELD,
      needsReason: true,
      action: 'It cools by itself: wait, and add no cold water.',
    },
    example: { US: '78', SI: '25.5' },
  })
  water?: string;

  @InstantField({ ...OUT_AT, example: '2031-05-24T08:50:00-04:00' })
  outAt?: string;

  @RowsField({
    ...WIPED,
    example: {
      US: [
        ['EXAMPLE-B1A', '1027.5', '40', '2031-05-24T08:52:00-04:00'],
        ['EXAMPLE-B2A', '1036.0', '50', '2031-05-24T08:54:00-04:00'],
      ],
      SI: [
        ['EXAMPLE-B1A', '1027.5', '40', '2031-05-24T08:52:00-04:00'],
        ['EXAMPLE-B2A', '1036.0', '50', '2031-05-24T08:54:00-04:00'],
      ],
    },
  })
  halves?: WipedRow[];

  @InstantField({ label: 'All weighed at', required: true, example: '2031-05-24T09:05:00-04:00' })
  weighedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Water topped up hot, a chip in the tank.', example: '' })
  remarks?: string;
}
