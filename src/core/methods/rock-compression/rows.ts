import { ChoiceField, MeasureField, RowInput } from '../fields';

/** Which end, along which of its two diameters. */
export const SCANS = ['1A', '1B', '2A', '2B'] as const;
export type Scan = (typeof SCANS)[number];

/** One reading of the dial along a diameter of an end. */
export class EndRow extends RowInput {
  @ChoiceField({
    label: 'Along',
    required: true,
    options: [
      { value: '1A', label: 'End 1, diameter A' },
      { value: '1B', label: 'End 1, diameter B' },
      { value: '2A', label: 'End 2, diameter A' },
      { value: '2B', label: 'End 2, diameter B' },
    ],
    also: { scan: '' },
    example: '',
  })
  along?: Scan;

  @MeasureField({
    label: 'From its edge',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.01', SI: '0.1' },
    possible: { US: ['0', '8'], SI: ['0', '200'] },
    required: true,
    also: { x: '', x_mm: 'mm', x_in: 'in' },
    example: '',
  })
  x?: string;

  @MeasureField({
    label: 'Dial',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.0001', SI: '0.001' },
    possible: { US: ['-0.1', '0.1'], SI: ['-2.5', '2.5'] },
    required: true,
    also: { y: '', y_mm: 'mm', y_in: 'in', y_um: 'um' },
    example: '',
  })
  y?: string;
}
