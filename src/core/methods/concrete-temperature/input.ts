import { EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';

/** The readings of one concrete temperature, in the order they are taken. */
export class ConcreteTemperatureInput extends RunInput {
  @EquipmentField({ label: 'Thermometer', equipmentKind: 'thermometer', example: 'THERMO-1' })
  thermometer?: string;

  @MeasureField({
    label: 'Concrete around the sensor',
    help: 'The least, on any side.',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.5', SI: '5' },
    possible: { US: ['0', '40'], SI: ['0', '1000'] },
    example: { US: '3.5', SI: '85' },
  })
  cover?: string;

  @MeasureField({
    label: 'Sensor in for',
    help: 'Minutes and seconds, as 2:15.',
    dimension: 'duration',
    unit: { US: 's', SI: 's' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '7200'], SI: ['0', '7200'] },
    example: '2:15',
  })
  dwell?: string;

  @MeasureField({
    label: 'Concrete temperature',
    help: 'Read with the sensor still in the concrete.',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['0', '212'], SI: ['-18', '100'] },
    required: true,
    example: { US: '74', SI: '23.5' },
  })
  temperature?: string;

  @MeasureField({
    label: 'Read after the sample',
    help: 'Minutes and seconds from the final portion, as 4:30.',
    dimension: 'duration',
    unit: { US: 's', SI: 's' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '14400'], SI: ['0', '14400'] },
    example: '4:30',
  })
  readDelay?: string;

  @MeasureField({
    label: 'Air temperature',
    help: 'In the shade.',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['-60', '140'], SI: ['-50', '60'] },
    example: { US: '66', SI: '19' },
  })
  airTemperature?: string;

  @InstantField({ label: 'Read at', example: '2031-05-14T09:34:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
