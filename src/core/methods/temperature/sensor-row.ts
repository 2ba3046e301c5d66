import type { LimitId } from '../../limits';
import { ChoiceField, MeasureField, RowInput, TextField } from '../fields';

/** Where a sensor is. */
export type Place = 'core' | 'surface' | 'air' | 'specimen' | 'box' | 'room';

/** What a sensor is, with the row that says how true it reads. */
export const SENSOR_KINDS = {
  'k-1': 'record.k-1',
  'k-2': 'record.k-2',
  'k-standard': 'record.k-standard',
  'k-special': 'record.k-special',
  digital: 'record.digital',
  resistance: 'record.resistance',
} as const satisfies Record<string, LimitId>;
export type SensorKind = keyof typeof SENSOR_KINDS;

/** One sensor of the records of a run. */
export class SensorRow extends RowInput {
  @TextField({
    label: 'Sensor',
    help: 'As its file calls it, or by its column: 1, 2; of the second record B1, B2.',
    required: true,
    example: '1',
  })
  sensor?: string;

  @ChoiceField({
    label: 'Where it is',
    options: [
      { value: 'core', label: 'Core' },
      { value: 'surface', label: 'Surface, 2 in [50 mm] in' },
      { value: 'specimen', label: 'In a specimen' },
      { value: 'air', label: 'Air' },
      { value: 'box', label: 'Curing box' },
      { value: 'room', label: 'Room, tank or cabinet' },
    ],
    example: 'core',
  })
  place?: Place;

  @ChoiceField({
    label: 'What it is',
    options: [
      { value: 'k-1', label: 'Type K, class 1' },
      { value: 'k-2', label: 'Type K, class 2' },
      { value: 'k-standard', label: 'Type K, standard' },
      { value: 'k-special', label: 'Type K, special' },
      { value: 'digital', label: 'Digital' },
      { value: 'resistance', label: 'Resistance' },
    ],
    example: 'k-2',
  })
  kind?: SensorKind;

  @MeasureField({
    label: 'In the bath too high by',
    help: 'Against a reference at 0, 25 and 50 °C; the worst of them, with a minus where it reads too low.',
    dimension: 'temperatureDifference',
    unit: { US: 'deltaF', SI: 'deltaC' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['-50', '50'], SI: ['-28', '28'] },
    example: { US: '0.4', SI: '0.2' },
  })
  bath?: string;
}
