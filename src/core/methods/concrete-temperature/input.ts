import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { AIR_TEMPERATURE, lengthSpec, SECONDS, TEMPERATURE } from '../specs';
import { SettlingRow } from './rows';

/** The readings of one concrete temperature, in the order they are taken. */
export class ConcreteTemperatureInput extends RunInput {
  @EquipmentField({ label: 'Thermometer', equipmentKind: 'thermometer', example: 'THERMO-1' })
  thermometer?: string;

  @ChoiceField({
    label: 'Read in',
    options: [
      { value: 'barrow', label: 'Barrow or container' },
      { value: 'form', label: 'Form' },
      { value: 'surface', label: 'Surface, infrared' },
    ],
    example: 'barrow',
  })
  place?: 'barrow' | 'form' | 'surface';

  @MeasureField({
    label: 'Concrete around the sensor',
    help: 'The least, on any side.',
    ...lengthSpec(['0.5', '40'], ['5', '1000']),
    example: { US: '3.5', SI: '85' },
  })
  cover?: string;

  @InstantField({ label: 'Thermometer in', event: 'thermometer-in', example: '2031-05-14T09:31:30-04:00' })
  insertedAt?: string;

  @MeasureField({
    label: 'Sensor in for',
    insteadOf: ['thermometer-in', 'temperature-read'],
    help: 'By stopwatch, when it was not stamped: minutes and seconds, as 2:15.',
    ...SECONDS,
    example: '',
  })
  dwell?: string;

  @RowsField({
    label: 'Readings while it settles',
    row: 'reading',
    Row: SettlingRow,
    help: 'From a probe or by eye. They say whether it is steady.',
    example: { US: [], SI: [] },
  })
  trace?: SettlingRow[];

  @CheckField({ label: 'Steady', help: 'Changed by no more than 1 °F [0.5 °C] in half a minute.' })
  steady?: boolean;

  @MeasureField({
    label: 'Concrete temperature',
    help: 'Read with the sensor still in the concrete.',
    ...TEMPERATURE,
    required: true,
    example: { US: '74', SI: '23.5' },
  })
  temperature?: string;

  @MeasureField({
    label: 'Read after the sample',
    insteadOf: ['temperature-read'],
    help: 'By stopwatch, when it was not stamped: minutes and seconds from the final portion, as 4:30.',
    ...SECONDS,
    example: '',
  })
  readDelay?: string;

  @MeasureField({
    label: 'Air temperature',
    help: 'In the shade.',
    ...AIR_TEMPERATURE,
    example: { US: '66', SI: '19' },
  })
  airTemperature?: string;

  @CheckField({ label: 'Made with heated materials' })
  heated?: boolean;

  @CheckField({
    label: 'Cold weather',
    help: 'Air under 40 °F [5 °C] is expected while the concrete is protected.',
  })
  cold?: boolean;

  @InstantField({ label: 'Read at', event: 'temperature-read', example: '2031-05-14T09:34:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
