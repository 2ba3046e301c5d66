import { MeasureField, RowInput, TextField } from '../fields';
import { countSpec, massSpec, percentSpec } from '../specs';

/** What was batched, at the most, in lb or kg. */
export const BATCH_MASS = massSpec(['1', '200000'], ['1', '100000']);

/** One material of the batch, as it was weighed in. */
export class MaterialRow extends RowInput {
  @TextField({ label: 'Material', required: true, example: '' })
  name?: string;

  @MeasureField({ label: 'Mass', ...BATCH_MASS, required: true, example: '' })
  mass?: string;

  @MeasureField({
    label: 'Relative density',
    ...countSpec('0.01', '8'),
    possible: { US: ['0.7', '8'], SI: ['0.7', '8'] },
    required: true,
    example: '',
  })
  density?: string;

  @MeasureField({
    label: 'Moisture',
    ...percentSpec('0.1', '40'),
    help: 'Of an aggregate that was weighed wet.',
    example: '',
  })
  moisture?: string;

  @MeasureField({ label: 'Absorption', ...percentSpec('0.1', '40'), example: '' })
  absorption?: string;
}
