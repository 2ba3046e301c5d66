import { MeasureField, RowInput } from '../fields';

/** A size of a unit from outside to outside. */
export const OVERALL = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.1' },
  possible: { US: ['0.5', '40'], SI: ['12', '1000'] },
  required: true,
} as const;

/** Something thin of a unit. */
export const THIN = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.1' },
  possible: { US: ['0.2', '8'], SI: ['5', '205'] },
} as const;

/** One web, where it is least. */
export class WebRow extends RowInput {
  @MeasureField({ label: 'Thickness', ...THIN, required: true, example: '' })
  thickness?: string;

  @MeasureField({ label: 'Height', ...OVERALL, example: '' })
  height?: string;
}
