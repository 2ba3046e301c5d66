import { ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';

/** What another report may say of a delivery, by the test it is of. Source: ASTM C90, C936 (from memory). */
export const PROPERTIES = {
  shrinkage: 'Linear drying shrinkage, C426',
  freeze: 'Freezing and thawing, C1645 or C1262',
  abrasion: 'Abrasion, C418',
} as const;
export type Property = keyof typeof PROPERTIES;

/** What is taken over from the report of another test, or another laboratory. */
export class UnitReportInput extends RunInput {
  @ChoiceField({
    label: 'Test',
    required: true,
    options: Object.entries(PROPERTIES).map(([value, label]) => ({ value, label })),
    example: 'shrinkage',
  })
  property?: Property;

  @MeasureField({
    label: 'Shrinkage',
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: '0.001', SI: '0.001' },
    possible: { US: ['0', '0.2'], SI: ['0', '0.2'] },
    help: 'Of shrinkage only.',
    example: '0.038 %',
  })
  shrinkage?: string;

  @ChoiceField({
    label: 'The report says of the others',
    options: [
      { value: 'meets', label: 'It meets' },
      { value: 'not', label: 'It does not' },
    ],
    example: '',
  })
  says?: 'meets' | 'not';

  @TextField({ label: 'Laboratory', required: true, example: 'Works laboratory' })
  laboratory?: string;

  @TextField({ label: 'Number of the report', required: true, example: 'SH-114' })
  number?: string;

  @TextField({
    label: 'Date of the report',
    required: true,
    help: 'As it is printed.',
    example: '11 March 2031',
  })
  reportDate?: string;

  @InstantField({ label: 'Taken over at', required: true, example: '2031-05-19T12:00:00-04:00' })
  takenAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Which units, how old.', example: '' })
  remarks?: string;
}
