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

/** A tin with pieces in it, as a tin of one specimen and of many is read. */
export const TIN = {
  number: { label: 'Tin', help: 'Its number; its own mass, never that of another.', example: 'T-14' },
  empty: { label: 'Tin, empty', ...GRAMS },
  wet: { label: 'Tin and pieces, wet', ...GRAMS, help: 'At once after the test; else lid on.' },
  out: { label: 'Tin and pieces', ...GRAMS, required: true, also: { mass_g: 'g' }, example: '' },
} as const;
export const DRIED = {
  label: 'Dried',
  carry: true,
  options: [
    { value: 'usual', label: 'At 110 °C [230 °F]' },
    { value: 'gentle', label: 'At 60 °C [140 °F]: gypsum or the like in it' },
  ],
  example: 'usual',
} as const;
export const WEIGHED_OUT = {
  label: 'Weighings out of the oven',
  row: 'weighing',
  help: 'Cooled in a closed box until it is hand-warm; then again an hour later, until the loss is no more than 0.1 %.',
} as const;

/** Tin and pieces out of the oven. */
export class TinRow extends RowInput {
  @MeasureField(TIN.out)
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** The readings of pieces of rock that are dried for the water in them. */
export class RockWaterInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @TextField(TIN.number)
  tin?: string;

  @MeasureField({ ...TIN.empty, example: '118.4' })
  tinMass?: string;

  @MeasureField({ ...TIN.wet, example: '746.2' })
  wetMass?: string;

  @InstantField({ label: 'Weighed wet at', example: '2031-06-11T09:30:00-04:00' })
  wetAt?: string;

  @EquipmentField(OVEN_USED)
  oven?: string;

  @ChoiceField(DRIED)
  dried?: 'usual' | 'gentle';

  @MeasureField({ ...OVEN, label: 'Oven temperature', example: { US: '230', SI: '110' } })
  temperature?: string;

  @MeasureField(HOTTEST)
  hottest?: string;

  @InstantField({ label: 'Into the oven at', example: '2031-06-11T09:40:00-04:00' })
  inAt?: string;

  @RowsField({
    ...WEIGHED_OUT,
    Row: TinRow,
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
