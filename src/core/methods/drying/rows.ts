import { rowsFor } from '../batch-rows';
import { InstantField, MeasureField, RowInput, readMeasure, SpecimenField } from '../fields';
import { MASS } from '../mass-spec';
import { OVEN } from './field-specs';
import type { Weighing } from './state';

/** One specimen on the balance while it dries. */
export class WeighingRow extends RowInput {
  @SpecimenField({ label: 'Specimen', required: true, example: '' })
  specimen?: string;

  @MeasureField({ label: 'Mass', ...MASS, required: true, also: { dry: '', wd: '' }, example: '' })
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** What the recorder of an oven read at a moment. */
export class OvenRow extends RowInput {
  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;

  @MeasureField({
    label: 'Temperature',
    ...OVEN,
    required: true,
    also: { temp_f: 'degF', temp_c: 'degC' },
    example: '',
  })
  temperature?: string;
}

/** A weighing in whatever unit its table has. */
export interface DryingRow extends RowInput {
  specimen?: string;
  mass?: string;
  at?: string;
}

/** The whole weighings of one specimen, masses in the unit of their table. */
export function weighingsOf(rows: readonly DryingRow[] | undefined, label: string): Weighing[] {
  return rowsFor(rows, label).flatMap((row) => {
    const mass = readMeasure(row, 'mass')?.value;
    const at = Date.parse(row.at ?? '');
    return mass && !Number.isNaN(at) ? [{ at, mass }] : [];
  });
}
