import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { countSpec } from '../specs';
import {
  SHEET_PROPERTIES,
  SHEET_PROPERTY_IDS,
  SHEET_UNITS,
  type SheetPropertyId,
  type SheetUnit,
} from './properties';

/** A value of a sheet. */
export class SheetRow extends RowInput {
  @ChoiceField({
    label: 'What',
    required: true,
    options: SHEET_PROPERTY_IDS.map((value) => ({ value, label: SHEET_PROPERTIES[value].label })),
    example: '',
  })
  property?: SheetPropertyId;

  @MeasureField({
    label: 'Value',
    ...countSpec('0.001', '10000'),
    possible: { US: ['-10', '20000'], SI: ['-10', '20000'] },
    required: true,
    example: '',
  })
  value?: string;

  @ChoiceField({
    label: 'Unit',
    required: true,
    options: Object.entries(SHEET_UNITS).map(([value, label]) => ({ value, label })),
    example: '',
  })
  unit?: SheetUnit;

  @ChoiceField({
    label: 'Tested by',
    options: [
      { value: 'astm', label: 'ASTM' },
      { value: 'en', label: 'EN' },
      { value: 'is', label: 'IS' },
    ],
    example: '',
  })
  school?: 'astm' | 'en' | 'is';

  @MeasureField({
    label: 'Spread of the source',
    ...countSpec('0.001', '5000'),
    help: 'Its standard deviation in this unit, where the sheet gives a mean over a period.',
    example: '',
  })
  spread?: string;
}

const row = (property: SheetPropertyId, value: string, unit: SheetUnit): string[] => [
  property,
  value,
  unit,
  'astm',
  '',
];

/** What the plant says of a cement, value by value. */
export class CementMillSheetInput extends RunInput {
  @TextField({ label: 'Number of the sheet', required: true, example: 'MS-114' })
  sheet?: string;

  @ChoiceField({
    label: 'Its values are',
    required: true,
    options: [
      { value: 'grab', label: 'Of one grab of this lot' },
      { value: 'composite', label: 'Of a composite of a day' },
      {
        value: 'mean',
        label: 'Means over a period',
        means: {
          id: 'mill.mean',
          severity: 'advice',
          message: 'The sheet gives means over a period.',
          action: 'A mean hides the spread from day to day: a single grab may lie off it by that alone.',
        },
      },
    ],
    example: 'composite',
  })
  basis?: 'grab' | 'composite' | 'mean';

  @TextField({ label: 'Period it covers', help: 'Days of production.', example: '1 to 30 August 2031' })
  period?: string;

  @RowsField({
    label: 'Values of the sheet',
    row: 'value',
    Row: SheetRow,
    required: true,
    help: 'As they stand there, with their unit. A file or a paste of what, value, unit fills them.',
    example: {
      US: [row('strength-7d', '4900', 'psi'), row('surface', '384', 'm2/kg'), row('initial', '118', 'min')],
      SI: [row('strength-7d', '33.8', 'MPa'), row('surface', '384', 'm2/kg'), row('initial', '118', 'min')],
    },
  })
  values?: SheetRow[];

  @InstantField({ label: 'Read at', required: true, example: '2031-09-22T09:00:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
