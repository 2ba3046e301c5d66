import { InstantField, MeasureField, RowInput } from '../fields';
import { percentSpec } from '../specs';

/** A reading of the neck of the meter. */
export const READING = percentSpec('0.25', '30');

/** The level at one moment while the meter stands. */
export class LevelRow extends RowInput {
  @InstantField({ label: 'At', required: true, stamps: true, seconds: true, example: '' })
  at?: string;

  @MeasureField({ label: 'Level', ...READING, required: true, example: '' })
  level?: string;
}
