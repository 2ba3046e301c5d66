import { ChoiceField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { percentSpec, SECONDS } from '../specs';

/** One reading of weather and concrete at a placement. */
export class EvaporationInput extends RunInput {
  @EquipmentField({ label: 'Weather meter', equipmentKind: 'weather meter', example: 'WIND-1' })
  meter?: string;

  @MeasureField({
    label: 'Air temperature',
    help: 'Shaded, upwind, 4 to 6 ft [1.2 to 1.8 m] above the surface.',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['20', '120'], SI: ['-6.5', '49'] },
    required: true,
    example: { US: '78', SI: '26' },
  })
  airTemperature?: string;

  @MeasureField({
    label: 'Relative humidity',
    help: 'In percent: 50, not 0.50.',
    ...percentSpec('1', '100'),
    required: true,
    example: '62',
  })
  humidity?: string;

  @MeasureField({
    label: 'Wind',
    help: 'At 20 in [0.5 m] above the surface.',
    dimension: 'speed',
    unit: { US: 'mph', SI: 'km/h' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '40'], SI: ['0', '64'] },
    required: true,
    example: { US: '6', SI: '10' },
  })
  wind?: string;

  @MeasureField({ label: 'Wind averaged over', ...SECONDS, example: '60' })
  averaged?: string;

  @ChoiceField({
    label: 'Wind measured',
    options: [
      { value: 'slab', label: 'At the slab' },
      { value: 'station', label: 'At a station, 33 ft [10 m] up' },
    ],
    example: 'slab',
  })
  windAt?: 'slab' | 'station';

  @MeasureField({
    label: 'Concrete temperature',
    help: 'Of the surface; before placing, the one expected at discharge.',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['40', '110'], SI: ['4.5', '43.5'] },
    required: true,
    example: { US: '76', SI: '24.5' },
  })
  concreteTemperature?: string;

  @ChoiceField({
    label: 'Concrete temperature is',
    options: [
      { value: 'surface', label: 'Measured at the surface' },
      { value: 'forecast', label: 'Expected' },
    ],
    example: 'surface',
  })
  concreteFrom?: 'surface' | 'forecast';

  @TextField({
    label: 'Measures in force',
    help: 'Windbreak, fog, sheets, shade …',
    example: 'windbreak north side',
  })
  measures?: string;

  @InstantField({ label: 'Read at', example: '2031-05-14T09:30:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
