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
import { SMALL } from '../pipe/field-specs';
import { RowsField } from '../rows-field';
import { SECONDS, TEMPERATURE } from '../specs';

/** The piece out of the oven. */
export class DryRow extends RowInput {
  @MeasureField({ label: 'Dry', ...GRAMS, required: true, also: { mass_g: 'g' }, example: '' })
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** The readings of a piece of the wall of a pipe, from the oven through the boil to the balance. */
export class PipeAbsorptionInput extends RunInput {
  @ChoiceField({
    label: 'The piece',
    required: true,
    options: [
      { value: 'sound', label: 'Whole thickness, sound edges, no crack' },
      {
        value: 'cracked',
        label: 'Cracked, or its edges shattered',
        means: {
          id: 'pipe-water.cracked',
          severity: 'invalid',
          message: 'A crack takes up water that the concrete does not.',
          action: 'Take another piece of the same pipe.',
        },
      },
    ],
    example: 'sound',
  })
  piece?: 'sound' | 'cracked';

  @MeasureField({
    label: 'Wall, thickness',
    ...SMALL,
    required: true,
    help: 'It decides how long it has to be in the oven.',
    held: {
      limit: 'pipe-water.wall',
      what: 'A wall of',
      severity: 'advice',
      action: 'Measure it again: it decides the days in the oven.',
    },
    example: { US: '2.75', SI: '70' },
  })
  thickness?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @EquipmentField(OVEN_USED)
  oven?: string;

  @MeasureField({
    ...OVEN,
    label: 'Oven temperature',
    required: true,
    held: {
      limit: 'pipe-water.oven',
      what: 'Dried at',
      severity: 'departure',
      action: 'Set the oven right: hotter drives more out than water, cooler leaves some in.',
    },
    example: { US: '230', SI: '110' },
  })
  temperature?: string;

  @MeasureField({ ...HOTTEST, label: 'Hottest' })
  hottest?: string;

  @InstantField({ label: 'Into the oven at', required: true, example: '2031-09-18T08:00:00-04:00' })
  inAt?: string;

  @RowsField({
    label: 'Weighings out of the oven',
    row: 'weighing',
    Row: DryRow,
    required: true,
    help: 'Cooled, weighed; again six hours later and more, until the loss is no more than 0.10 %.',
    example: {
      US: [
        ['1463.2', '2031-09-20T08:30:00-04:00'],
        ['1462.4', '2031-09-20T15:00:00-04:00'],
      ],
      SI: [
        ['1463.2', '2031-09-20T08:30:00-04:00'],
        ['1462.4', '2031-09-20T15:00:00-04:00'],
      ],
    },
  })
  weighings?: DryRow[];

  @InstantField({
    label: 'Into the water at',
    help: 'Within a day after the oven.',
    example: '2031-09-21T07:00:00-04:00',
  })
  wetAt?: string;

  @MeasureField({
    label: 'Water',
    ...TEMPERATURE,
    held: {
      limit: 'pipe-water.water',
      what: 'Laid into water of',
      severity: 'departure',
      action: 'Water out of the tap that stood in the room.',
    },
    example: { US: '66', SI: '19' },
  })
  water?: string;

  @InstantField({ label: 'Heat on at', example: '2031-09-21T07:10:00-04:00' })
  heatAt?: string;

  @ChoiceField({
    label: 'Steam in the first hour',
    options: [
      { value: 'no', label: 'None: heated from below' },
      {
        value: 'live',
        label: 'Live steam was let in',
        means: {
          id: 'pipe-water.steam',
          severity: 'invalid',
          message: 'Live steam in the first hour drives water in too fast.',
          action: 'Dry it again and begin anew.',
        },
      },
    ],
    example: 'no',
  })
  steam?: 'no' | 'live';

  @InstantField({ label: 'Boiling at', example: '2031-09-21T08:30:00-04:00' })
  boilingAt?: string;

  @InstantField({ label: 'Heat off at', example: '2031-09-21T13:35:00-04:00' })
  offAt?: string;

  @InstantField({ label: 'Out of the water at', example: '2031-09-22T07:40:00-04:00' })
  outAt?: string;

  @MeasureField({
    label: 'Drained for',
    ...SECONDS,
    held: {
      limit: 'pipe-water.drain',
      what: 'Drained for',
      severity: 'departure',
      action: 'Dip it again and drain it for a minute.',
    },
    example: '60',
  })
  drained?: string;

  @MeasureField({
    label: 'Wiped, saturated',
    ...GRAMS,
    required: true,
    help: 'Quickly, with a dry cloth that takes up water; weighed at once.',
    example: '1546.8',
  })
  wet?: string;

  @InstantField({ label: 'Weighed at', required: true, example: '2031-09-22T07:42:00-04:00' })
  weighedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
