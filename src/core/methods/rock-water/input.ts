import { GRAMS, HOTTEST, OVEN, OVEN_USED } from '../drying/field-specs';
import {
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';

/** Tin and pieces out of the oven. */
export class TinRow extends RowInput {
  @MeasureField({ label: 'Tin and pieces', ...GRAMS, required: true, also: { mass_g: 'g' }, example: '' })
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** The readings of pieces of rock that are dried for the water in them. */
export class RockWaterInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @TextField({ label: 'Tin', help: 'Its number; its own mass, never that of another.', example: 'T-14' })
  tin?: string;

  @MeasureField({ label: 'Tin, empty', ...GRAMS, required: true, example: '118.4' })
  tinMass?: string;

  @MeasureField({
    label: 'Tin and pieces, wet',
    ...GRAMS,
    required: true,
    help: 'At once after the test; else lid on.',
    example: '746.2',
  })
  wetMass?: string;

  @InstantField({ label: 'Weighed wet at', required: true, example: '2031-06-11T09:30:00-04:00' })
  wetAt?: string;

  @EquipmentField(OVEN_USED)
  oven?: string;

  @ChoiceField({
    label: 'Dried',
    carry: true,
    options: [
      { value: 'usual', label: 'At 110 °C [230 °F]' },
      { value: 'gentle', label: 'At 60 °C [140 °F]: gypsum or the like in it' },
    ],
    example: 'usual',
  })
  dried?: 'usual' | 'gentle';

  @MeasureField({ ...OVEN, label: 'Oven temperature', required: true, example: { US: '230', SI: '110' } })
  temperature?: string;

  @MeasureField(HOTTEST)
  hottest?: string;

  @InstantField({ label: 'Into the oven at', required: true, example: '2031-06-11T09:40:00-04:00' })
  inAt?: string;

  @RowsField({
    label: 'Weighings out of the oven',
    row: 'weighing',
    Row: TinRow,
    required: true,
    help: 'Cooled in a closed box until it is hand-warm; then again an hour later, until the loss is no more than 0.1 %.',
    example: {
      US: [
        ['731.5', '2031-06-12T08:30:00-04:00'],
        ['731.2', '2031-06-12T10:00:00-04:00'],
      ],
      SI: [
        ['731.5', '2031-06-12T08:30:00-04:00'],
        ['731.2', '2031-06-12T10:00:00-04:00'],
      ],
    },
  })
  weighings?: TinRow[];

  @ChoiceField({
    label: 'Reported to',
    carry: true,
    options: [
      { value: 'b', label: '0.1 %, method B' },
      { value: 'a', label: '1 %, method A' },
    ],
    help: 'Left open, 0.1 %.',
    example: 'b',
  })
  precision?: 'a' | 'b';

  @InstantField({ label: 'Finished at', required: true, example: '2031-06-12T10:05:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Left out, lost, in the sun.', example: '' })
  remarks?: string;
}
