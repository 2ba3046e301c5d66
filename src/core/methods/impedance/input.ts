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
import { ROOM_AIR, ROOM_HUMIDITY } from '../slab/room';
import { countSpec } from '../specs';

const SHOWN = countSpec('0.1', '100');

/** One place, read with the meter turned each time. */
export class ImpedanceRow extends RowInput {
  @TextField({ label: 'Where', help: 'Place on the plan.', required: true, example: '' })
  place?: string;

  @MeasureField({ label: 'First', ...SHOWN, required: true, example: '3.4' })
  first?: string;

  @MeasureField({ label: 'Turned', ...SHOWN, required: true, example: '3.6' })
  second?: string;

  @MeasureField({ label: 'Turned again', ...SHOWN, required: true, example: '3.5' })
  third?: string;
}

const ROWS = [
  ['door', '3.1', '3.2', '3.1'],
  ['column 2', '4.4', '4.3', '4.5'],
  ['column 4', '3.3', '3.5', '3.4'],
  ['sea wall', '4.8', '4.9', '4.7'],
  ['stair', '2.9', '3', '2.8'],
  ['ramp', '3.7', '3.6', '3.8'],
  ['hatch', '3.2', '3', '3.1'],
  ['east wall', '3.9', '4.1', '4'],
] as const;

/** What a meter laid on the slab shows, to choose where to measure. */
export class ImpedanceInput extends RunInput {
  @TextField({ label: 'Meter and its setting', required: true, carry: true, example: 'METER-1, concrete' })
  meter?: string;

  @ChoiceField({
    label: 'Scale',
    required: true,
    carry: true,
    options: [
      { value: 'six', label: '0 to 6' },
      { value: 'hundred', label: '0 to 100, relative' },
    ],
    example: 'six',
  })
  scale?: 'six' | 'hundred';

  @CheckField({
    label: 'It showed its check block right',
    missed: {
      id: 'impedance.block',
      severity: 'invalid',
      message: 'Nothing says that it shows what it showed yesterday.',
      action: 'Do not use it until it shows its block right.',
    },
  })
  checked?: boolean;

  @CheckField({
    label: 'One setting and one meter for all of it; clean, dry, no metal near',
    missed: {
      id: 'impedance.mixed',
      severity: 'departure',
      message: 'Two meters or two settings are two scales.',
      action: 'Survey it anew with one, or keep two lists.',
      remark: 'Not one setting for all places.',
    },
  })
  alike?: boolean;

  @RowsField({
    label: 'Places',
    row: 'place',
    Row: ImpedanceRow,
    help: 'Brush the dust off, press all electrodes down.',
    example: { US: ROWS, SI: ROWS },
  })
  places?: ImpedanceRow[];

  @MeasureField({
    ...ROOM_AIR,
    example: { US: '70', SI: '21' },
  })
  airTemperature?: string;

  @MeasureField({ ...ROOM_HUMIDITY, example: '48' })
  airHumidity?: string;

  @InstantField({ label: 'Read at', required: true, example: '2031-03-01T11:40:00-05:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
