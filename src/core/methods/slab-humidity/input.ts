import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { ROOM_AIR, ROOM_HUMIDITY } from '../slab/room';
import { SERVICE, type Service } from '../slab/service';
import { AIR_TEMPERATURE, percentSpec } from '../specs';

/** Shown by a probe: some show a little above a hundred where it is wet. */
const HUMIDITY = percentSpec('0.1', '110');

/** Salts that a probe is checked over. */
export const SALTS = [
  { value: 'nacl', label: 'Sodium chloride, 75' },
  { value: 'kcl', label: 'Potassium chloride, 85' },
  { value: 'mgcl2', label: 'Magnesium chloride, 33' },
  { value: 'k2so4', label: 'Potassium sulfate, 97' },
] as const;
export type Salt = (typeof SALTS)[number]['value'];

/** What is read at one visit to a hole. */
export class SlabHumidityInput extends RunInput {
  @ChoiceField(SERVICE)
  service?: Service;

  @CheckField({
    label: 'Cap was on, nothing loose',
    missed: {
      id: 'slab.cap',
      severity: 'invalid',
      message: 'The air of the room got into the hole.',
      action: 'Clean it, seal it, and wait a day again.',
    },
  })
  capped?: boolean;

  @EquipmentField({
    label: 'Probe',
    equipmentKind: 'humidity probe',
    carry: true,
    help: 'One that is brought along.',
    example: 'PROBE-1',
  })
  probe?: string;

  @EquipmentField({
    label: 'Pack of the sensor',
    equipmentKind: 'sensor pack',
    carry: true,
    help: 'Of a sensor that stays in the hole: its pack has the certificate, a copy belongs in the file of every job.',
    example: '',
  })
  pack?: string;

  @ChoiceField({ label: 'Checked over', options: SALTS, carry: true, example: 'nacl' })
  salt?: Salt;

  @MeasureField({ label: 'Jar at', ...AIR_TEMPERATURE, carry: true, example: { US: '77', SI: '25' } })
  saltTemperature?: string;

  @MeasureField({ label: 'Probe shows over it', ...HUMIDITY, carry: true, example: '76.1' })
  saltShown?: string;

  @InstantField({ label: 'Checked at', carry: true, example: '2031-02-28T09:00:00-05:00' })
  saltAt?: string;

  @MeasureField({
    label: 'Concrete, in the hole',
    ...AIR_TEMPERATURE,
    required: true,
    help: 'Without it a humidity says nothing.',
    example: { US: '70', SI: '21' },
  })
  slabTemperature?: string;

  @MeasureField({
    label: 'Probe',
    ...AIR_TEMPERATURE,
    help: 'One that was put in warm reads low: about 6 % of the reading for a degree Celsius.',
    example: { US: '70', SI: '21' },
  })
  probeTemperature?: string;

  @MeasureField({ label: 'Humidity, first', ...HUMIDITY, required: true, example: '84.6' })
  humidityFirst?: string;

  @MeasureField({
    label: 'Humidity, five minutes later',
    ...HUMIDITY,
    required: true,
    help: 'This one counts.',
    example: '84.9',
  })
  humidity?: string;

  @MeasureField({
    ...ROOM_AIR,
    example: { US: '72', SI: '22' },
  })
  airTemperature?: string;

  @MeasureField({ ...ROOM_HUMIDITY, example: '48' })
  airHumidity?: string;

  @InstantField({ label: 'Read at', required: true, example: '2031-03-03T11:05:00-05:00' })
  readAt?: string;

  @ChoiceField({
    label: 'Next visit',
    options: [
      { value: '7', label: 'In a week' },
      { value: '14', label: 'In two weeks' },
      { value: '28', label: 'In four weeks' },
      { value: 'none', label: 'None: this was the last' },
    ],
    aside: true,
    help: 'From then on it waits on Today and in the round.',
    example: '14',
  })
  nextVisit?: '7' | '14' | '28' | 'none';

  @TextField({ label: 'Remarks', help: 'Water, works near by, what is closed or off.', example: '' })
  remarks?: string;
}
