import { InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const DIAMETER = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.25' },
  possible: { US: ['2', '12'], SI: ['50', '300'] },
} as const;

/** One cylinder that was made with the pipe, as it broke. */
export class CylinderRow extends RowInput {
  @TextField({ label: 'Cylinder', required: true, help: 'Its mark.', example: '' })
  mark?: string;

  @MeasureField({ label: 'Diameter', ...DIAMETER, required: true, example: '' })
  diameter1?: string;

  @MeasureField({ label: 'across', ...DIAMETER, example: '' })
  diameter2?: string;

  @MeasureField({
    label: 'Load',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['0', '600000'], SI: ['0', '2700'] },
    required: true,
    example: '',
  })
  load?: string;
}

/** Cylinders of one group of pipe: a day's making of one size, class and mix. */
export class PipeCylindersInput extends RunInput {
  @TextField({
    label: 'Group',
    required: true,
    help: 'Day of making, mix, number of pipes.',
    example: '2 Sept, mix C-7, 31 pipes',
  })
  group?: string;

  @RowsField({
    label: 'Cylinders',
    row: 'cylinder',
    Row: CylinderRow,
    required: true,
    help: 'Five and more of a group, broken by C39: 35 psi/s [0.25 MPa/s], caps or pads.',
    example: {
      US: [
        ['M1', '4.00', '4.01', '66,200'],
        ['M2', '4.01', '4.00', '64,800'],
        ['M3', '4.00', '4.00', '67,900'],
        ['M4', '4.02', '4.00', '65,100'],
        ['M5', '4.00', '4.00', '66,400'],
      ],
      SI: [
        ['M1', '100', '100.25', '293'],
        ['M2', '100.25', '100', '288'],
        ['M3', '100', '100', '302'],
        ['M4', '100.5', '100', '290'],
        ['M5', '100', '100', '295'],
      ],
    },
  })
  cylinders?: CylinderRow[];

  @InstantField({ label: 'Broken at', required: true, example: '2031-09-30T09:30:00-04:00' })
  brokenAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
