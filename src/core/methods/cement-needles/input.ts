import { InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const APART = {
  dimension: 'length',
  unit: { US: 'mm', SI: 'mm' },
  step: { US: '0.5', SI: '0.5' },
  possible: { US: ['0', '120'], SI: ['0', '120'] },
} as const;
const MINUTES = {
  dimension: 'duration',
  unit: { US: 'min', SI: 'min' },
  step: { US: '1', SI: '1' },
  possible: { US: ['0', '600'], SI: ['0', '600'] },
} as const;

/** A split ring, its needles before and after the boil. */
export class SplitRingRow extends RowInput {
  @TextField({ label: 'Ring', required: true, example: '' })
  mark?: string;

  @MeasureField({ label: 'Needles apart, before', ...APART, required: true, example: '' })
  before?: string;

  @MeasureField({ label: 'after', ...APART, required: true, example: '' })
  after?: string;
}

/** Soundness of a paste by the needles of split rings. */
export class CementNeedlesInput extends RunInput {
  @MeasureField({ label: 'Up to boiling in', ...MINUTES, required: true, example: '30' })
  up?: string;

  @MeasureField({ label: 'Boiled for', ...MINUTES, required: true, example: '180' })
  boiled?: string;

  @RowsField({
    label: 'Rings',
    row: 'ring',
    Row: SplitRingRow,
    required: true,
    help: 'Two of one paste, a day old before the boil.',
    example: {
      US: [
        ['1', '29.0', '31.5'],
        ['2', '28.0', '31.5'],
      ],
      SI: [
        ['1', '29.0', '31.5'],
        ['2', '28.0', '31.5'],
      ],
    },
  })
  rings?: SplitRingRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
