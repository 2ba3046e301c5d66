import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RecordField,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { lengthSpec } from '../specs';
import { SensorRow } from '../temperature/sensor-row';

const AHEAD = {
  dimension: 'duration',
  unit: { US: 'min', SI: 'min' },
  step: { US: '1', SI: '1' },
  possible: { US: ['-1500', '1500'], SI: ['-1500', '1500'] },
} as const;

/** What loggers recorded of concrete, of a box or of curing places. */
export class TemperatureRecordInput extends RunInput {
  @ChoiceField({
    label: 'It is a record of',
    options: [
      { value: 'concrete', label: 'Concrete, in a specimen or a member' },
      { value: 'mass', label: 'Mass concrete' },
      { value: 'box', label: 'A curing box' },
      { value: 'places', label: 'Two curing places' },
    ],
    required: true,
    example: 'concrete',
  })
  purpose?: 'concrete' | 'mass' | 'box' | 'places';

  @EquipmentField({ label: 'Logger', equipmentKind: 'logger', example: 'LOGGER-1' })
  logger?: string;

  @EquipmentField({ label: 'Second logger', equipmentKind: 'logger', example: '' })
  otherLogger?: string;

  @RowsField({
    label: 'Sensors',
    help: 'Where each is, and what the bath said. Names such as core, surface and air are understood as they stand.',
    Row: SensorRow,
    row: 'sensor',
    example: { US: [['1', 'core', 'k-2', '0.4']], SI: [['1', 'core', 'k-2', '0.2']] },
  })
  sensors?: SensorRow[];

  @TextField({ label: 'Where', help: 'Member, specimen, box.', example: 'Example wall, bay 2' })
  where?: string;

  @InstantField({
    label: 'Concrete round the sensor',
    help: 'From then on it counts.',
    example: '2031-05-14T09:00:00-04:00',
  })
  placedAt?: string;

  @MeasureField({
    label: 'Least size of the member',
    ...lengthSpec(['1', '800'], ['25', '20000']),
    example: '',
  })
  thickness?: string;

  @MeasureField({
    label: 'Cement',
    help: 'For an estimate of the highest temperature before it is placed.',
    dimension: 'density',
    unit: { US: 'lb/yd3', SI: 'kg/m3' },
    step: { US: '1', SI: '1' },
    possible: { US: ['100', '1500'], SI: ['60', '900'] },
    example: '',
  })
  cement?: string;

  @RecordField({
    records: 'temperature',
    label: 'Record',
    help: 'The file of the logger, or read out over its line.',
    required: true,
    example: 'example-logger.csv',
  })
  record?: string;

  @RecordField({
    records: 'temperature',
    label: 'Record of a second logger',
    help: 'Beside the first, of the same place: they are laid over one another.',
    example: '',
  })
  second?: string;

  @MeasureField({
    label: 'Second clock ahead, noted at the start',
    help: 'By a picture of both; with a minus where it is behind.',
    ...AHEAD,
    example: '',
  })
  aheadAtStart?: string;

  @MeasureField({ label: 'Second clock ahead, noted at the end', ...AHEAD, example: '' })
  aheadAtEnd?: string;

  @CheckField({
    label: 'File looked at before the cables were cut',
    missed: {
      id: 'record.not-looked-at',
      severity: 'advice',
      message: 'Nobody looked whether the file is whole before the cables were cut.',
      action: 'Look at its length and its last value while the sensors can still be read.',
    },
  })
  lookedAt?: boolean;

  @InstantField({ label: 'Read out', required: true, example: '2031-05-17T09:00:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
