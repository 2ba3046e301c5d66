import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { ROOM_AIR, ROOM_HUMIDITY } from '../slab/room';
import { SERVICE, type Service } from '../slab/service';
import { AIR_TEMPERATURE, percentSpec } from '../specs';

/** The hygrometer in the box, at one moment. */
export class HoodRow extends RowInput {
  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;

  @MeasureField({ label: 'Humidity', ...percentSpec('0.1', '110'), required: true, example: '' })
  humidity?: string;
}

const READ = [
  ['2031-03-05T10:00:00-05:00', '72.4'],
  ['2031-03-06T10:10:00-05:00', '72.9'],
] as const;

/** What is read of the air in an insulated box that is sealed to the surface. */
export class SurfaceHoodInput extends RunInput {
  @ChoiceField(SERVICE)
  service?: Service;

  @ChoiceField({
    label: 'Heating in the floor',
    required: true,
    carry: true,
    options: [
      { value: 'none', label: 'There is none' },
      { value: 'off', label: 'Off' },
      {
        value: 'on',
        label: 'On',
        means: {
          id: 'hood.heated',
          severity: 'invalid',
          message: 'It drives the water to the surface while it is on.',
          action: 'Off for 96 h at the least, then seal the box down anew.',
        },
      },
    ],
    example: 'none',
  })
  heating?: 'none' | 'off' | 'on';

  @InstantField({ label: 'Heating off since', carry: true, help: 'Where there is one.', example: '' })
  offAt?: string;

  @EquipmentField({
    label: 'Hygrometer',
    equipmentKind: 'humidity probe',
    required: true,
    carry: true,
    example: 'PROBE-1',
  })
  probe?: string;

  @InstantField({
    label: 'Sealed down at',
    required: true,
    carry: true,
    example: '2031-03-02T09:30:00-05:00',
  })
  sealedAt?: string;

  @CheckField({
    label: 'Still sealed all round, not moved, not opened',
    missed: {
      id: 'hood.seal',
      severity: 'invalid',
      message: 'Air of the room got under it.',
      action: 'Seal it down anew: the three days begin again.',
    },
  })
  sealed?: boolean;

  @RowsField({
    label: 'Readings',
    row: 'reading',
    Row: HoodRow,
    help: 'From the third day on, a day apart, until two agree.',
    example: { US: READ, SI: READ },
  })
  readings?: HoodRow[];

  @MeasureField({
    label: 'Concrete beside it',
    ...AIR_TEMPERATURE,
    required: true,
    example: { US: '68', SI: '20' },
  })
  slabTemperature?: string;

  @MeasureField({
    ...ROOM_AIR,
    example: { US: '69', SI: '20.5' },
  })
  airTemperature?: string;

  @MeasureField({ ...ROOM_HUMIDITY, example: '46' })
  airHumidity?: string;

  @InstantField({ label: 'Taken off at', required: true, example: '2031-03-06T10:20:00-05:00' })
  doneAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
