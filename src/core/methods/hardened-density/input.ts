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

export const STATES = {
  dry: 'Out of the oven',
  soaked: 'Soaked, wiped',
  boiled: 'Boiled, wiped',
  hung: 'Hung in water',
} as const;
export type State = keyof typeof STATES;

/** One weighing of one piece. */
export class VoidsRow extends RowInput {
  @TextField({ label: 'Piece', help: 'Of one specimen: 1, 2, 3.', example: '1' })
  piece?: string;

  @ChoiceField({
    label: 'Weighed',
    options: Object.entries(STATES).map(([value, label]) => ({ value, label })),
    required: true,
    example: 'dry',
  })
  state?: State;

  @InstantField({ label: 'At', stamps: true, required: true, example: '2031-06-14T09:00:00-04:00' })
  at?: string;

  @MeasureField({
    label: 'Mass',
    dimension: 'mass',
    unit: { US: 'g', SI: 'g' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['50', '20000'], SI: ['50', '20000'] },
    required: true,
    example: '1000.0',
  })
  mass?: string;
}

const OVEN = {
  dimension: 'temperature',
  unit: { US: 'degF', SI: 'degC' },
  step: { US: '1', SI: '1' },
  possible: { US: ['50', '400'], SI: ['10', '205'] },
} as const;

const D = '2031-06-';
const ROWS = [
  ['1', 'dry', `${D}13T09:00:00-04:00`, '1003.2'],
  ['1', 'dry', `${D}14T09:10:00-04:00`, '1000.0'],
  ['1', 'soaked', `${D}16T10:00:00-04:00`, '1088.6'],
  ['1', 'soaked', `${D}17T10:00:00-04:00`, '1090.0'],
  ['1', 'boiled', `${D}18T08:30:00-04:00`, '1095.0'],
  ['1', 'hung', `${D}18T08:35:00-04:00`, '495.0'],
] as const;

/** The readings of pieces that are dried, soaked, boiled and hung in water. */
export class HardenedDensityInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @InstantField({ label: 'Into the oven at', required: true, example: `${D}12T08:30:00-04:00` })
  ovenAt?: string;

  @MeasureField({
    label: 'Oven',
    ...OVEN,
    held: {
      limit: 'voids.oven-temperature',
      what: 'The oven at',
      severity: 'departure',
      action: 'Set it right; say so where they were dried otherwise.',
    },
    example: { US: '221', SI: '105' },
  })
  oven?: string;

  @InstantField({
    label: 'Into water at',
    help: 'Cooled to the room first.',
    example: `${D}14T09:40:00-04:00`,
  })
  waterAt?: string;

  @InstantField({ label: 'Boiling at', example: `${D}17T11:00:00-04:00` })
  boilAt?: string;

  @InstantField({ label: 'Heat off at', example: `${D}17T16:10:00-04:00` })
  offAt?: string;

  @RowsField({
    label: 'Weighings',
    row: 'weighing',
    Row: VoidsRow,
    required: true,
    help: 'Each piece dry until two in a row agree, then soaked the same way, boiled, and hung in water.',
    example: { US: ROWS, SI: ROWS },
  })
  weighings?: VoidsRow[];

  @InstantField({ label: 'Finished at', required: true, example: `${D}18T08:40:00-04:00` })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'A crumbled edge, a wire in it.', example: '' })
  remarks?: string;
}
