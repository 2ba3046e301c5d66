import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RecordField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { DatumField, HowField, QField, ReferenceField } from '../maturity/function';
import { INDEX, STRENGTH } from '../maturity/strengths';
import { RowsField } from '../rows-field';

/** One cylinder of a calibration. */
export class BreakRow extends RowInput {
  @TextField({ label: 'Cylinder', example: 'EX-1' })
  specimen?: string;

  @InstantField({ label: 'Broken', example: '2031-05-15T10:00:00-04:00' })
  at?: string;

  @MeasureField({
    label: 'Index, °C·h or h',
    help: 'Only where no record is kept: what the meter in the instrumented cylinders showed.',
    ...INDEX,
    example: '',
  })
  index?: string;

  @MeasureField({ label: 'Strength', ...STRENGTH, required: true, example: { US: '1200', SI: '8.3' } })
  strength?: string;

  @CheckField({ label: 'Left out' })
  leftOut?: boolean;

  @TextField({ label: 'Why', help: 'Defective, with what was seen.', example: '' })
  why?: string;
}

/** Ages of the example, days, with its strengths, two of each. */
const BROKEN = {
  US: [
    ['15', 1150, 1210],
    ['17', 2440, 2370],
    ['21', 3360, 3470],
    ['28', 4100, 4210],
    ['42', 4760, 4660],
  ],
  SI: [
    ['15', 7.9, 8.3],
    ['17', 16.8, 16.3],
    ['21', 23.2, 23.9],
    ['28', 28.3, 29.0],
    ['42', 32.8, 32.1],
  ],
} as const;

const rows = (system: 'US' | 'SI'): string[][] =>
  BROKEN[system].flatMap(([day, ...strengths], age) =>
    strengths.map((strength, place) => {
      const date = new Date(Date.UTC(2031, 4, Number(day), 14));
      return [`EX-${2 * age + place + 1}`, date.toISOString(), '', String(strength), 'false', ''];
    }),
  );

/** Cylinders of one mix broken over 28 days, beside two with sensors. */
export class MaturityCalibrationInput extends RunInput {
  @HowField()
  how?: 'nurse-saul' | 'equivalent-age' | 'adjusted-age';

  @DatumField()
  datum?: string;

  @QField()
  q?: string;

  @ReferenceField()
  reference?: string;

  @InstantField({ label: 'Cylinders moulded', required: true, example: '2031-05-14T10:00:00-04:00' })
  castAt?: string;

  @RecordField({
    records: 'temperature',
    label: 'Record of the instrumented cylinders',
    help: 'Both on one file, sensors at mid-height within 15 mm [0.6 in] of the middle.',
    example: 'example-calibration.csv',
  })
  record?: string;

  @EquipmentField({ label: 'Machine', equipmentKind: 'compression machine', example: 'PRESS-1' })
  machine?: string;

  @RowsField({
    label: 'Breaks',
    help: 'Two at each of 1, 3, 7, 14 and 28 days; a third where they differ.',
    Row: BreakRow,
    row: 'cylinder',
    example: { US: rows('US'), SI: rows('SI') },
  })
  breaks?: BreakRow[];

  @ChoiceField({
    label: 'Curve',
    help: 'Empty: the one that goes nearest of those that are credible.',
    options: [
      { value: 'hyperbolic', label: 'Hyperbolic' },
      { value: 'exponential', label: 'Exponential' },
      { value: 'logarithmic', label: 'Logarithmic' },
    ],
    example: '',
  })
  curve?: 'hyperbolic' | 'exponential' | 'logarithmic';

  @InstantField({ label: 'Last cylinder broken', required: true, example: '2031-06-11T10:00:00-04:00' })
  madeAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
