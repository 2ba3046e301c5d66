import { WeighingRow } from '../drying/rows';
import {
  CheckField,
  ChoiceField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';

/** The air of the room at a moment. */
export class AirRow extends RowInput {
  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;

  @MeasureField({
    label: 'Temperature',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['0', '130'], SI: ['-18', '55'] },
    required: true,
    also: { temp_f: 'degF', temp_c: 'degC' },
    example: '',
  })
  temperature?: string;

  @MeasureField({
    label: 'Humidity',
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '100'], SI: ['0', '100'] },
    required: true,
    also: { rh: 'percent', rh_pct: 'percent' },
    example: '',
  })
  humidity?: string;
}

/** The readings of units that are conditioned before they are capped. */
export class UnitConditioningInput extends RunInput {
  @ChoiceField({
    label: 'How',
    required: true,
    options: [
      { value: 'room', label: 'Room air, 48 h' },
      { value: 'fan', label: 'Fan, weighed' },
    ],
    example: 'room',
  })
  way?: 'room' | 'fan';

  @CheckField({
    label: 'Unstacked, half an inch [13 mm] of air on every side',
    missed: {
      id: 'condition.crowded',
      severity: 'departure',
      message: 'Units that touch do not dry alike.',
      action: 'Set them apart; the clock begins when they stand so.',
      remark: 'Units not set apart while they were conditioned.',
    },
  })
  apart?: boolean;

  @InstantField({
    label: 'Set out at',
    required: true,
    help: 'For the fan, when it was switched on.',
    example: '2031-05-19T09:30:00-04:00',
  })
  placedAt?: string;

  @RowsField({
    label: 'Air of the room',
    channel: 'room',
    Row: AirRow,
    row: 'reading',
    help: 'By hand twice a day, or the file of its logger. Outside 60 to 90 °F [16 to 32 °C] or from 80 % on for longer than 15 min the clock begins anew.',
    example: {
      US: [
        ['2031-05-19T09:30:00-04:00', '72', '58'],
        ['2031-05-20T09:00:00-04:00', '71', '61'],
        ['2031-05-21T09:20:00-04:00', '73', '60'],
      ],
      SI: [
        ['2031-05-19T09:30:00-04:00', '22', '58'],
        ['2031-05-20T09:00:00-04:00', '21.5', '61'],
        ['2031-05-21T09:20:00-04:00', '23', '60'],
      ],
    },
  })
  air?: AirRow[];

  @RowsField({
    label: 'Weighings at the fan',
    Row: WeighingRow,
    row: 'weighing',
    help: 'After four hours, then every two, until two differ by no more than 0.2 %.',
    example: { US: [], SI: [] },
  })
  weighings?: WeighingRow[];

  @ChoiceField({
    label: 'Moisture seen at the end',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      {
        value: 'damp',
        label: 'Damp somewhere',
        means: {
          id: 'condition.damp',
          severity: 'invalid',
          message: 'Damp is still seen.',
          action: 'They stay, and are weighed or looked at again.',
        },
      },
    ],
    example: 'none',
  })
  moisture?: 'none' | 'damp';

  @InstantField({ label: 'Taken for capping at', required: true, example: '2031-05-21T09:40:00-04:00' })
  takenAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Fan off, door open.', example: '' })
  remarks?: string;
}
