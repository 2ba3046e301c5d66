import { InstantField, MeasureField, RowInput } from '../fields';
import { TEMPERATURE } from '../specs';

/** One reading while the sensor settles. */
export class SettlingRow extends RowInput {
  @InstantField({ label: 'At', required: true, stamps: true, seconds: true, example: '' })
  at?: string;

  @MeasureField({ label: 'Temperature', ...TEMPERATURE, required: true, example: '' })
  temperature?: string;
}
