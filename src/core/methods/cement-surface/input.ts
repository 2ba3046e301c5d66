import { CEMENT_BALANCE } from '../cement/fields';
import { EquipmentField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { SECONDS } from '../specs';

const ONE = (step: string, least: string, most: string) =>
  ({
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: step, SI: step },
    possible: { US: [least, most], SI: [least, most] },
  }) as const;
const CELSIUS = {
  dimension: 'temperature',
  unit: { US: 'degC', SI: 'degC' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['10', '40'], SI: ['10', '40'] },
} as const;
const BED = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.001', SI: '0.001' },
  possible: { US: ['0.5', '10'], SI: ['0.5', '10'] },
} as const;
const TIME = { ...SECONDS, step: { US: '0.1', SI: '0.1' } } as const;

/** A bed of cement that air is drawn through. */
export class BedRow extends RowInput {
  @MeasureField({ label: 'Cement in the cell', ...BED, required: true, example: '' })
  mass?: string;

  @MeasureField({ label: 'Time', ...TIME, required: true, also: { time_s: 's' }, example: '' })
  time?: string;

  @MeasureField({ label: 'Temperature', ...CELSIUS, required: true, also: { temp_c: 'degC' }, example: '' })
  temperature?: string;
}

/** Air through two beds of a cement, beside the cement that the cell is calibrated with. */
export class CementSurfaceInput extends RunInput {
  @EquipmentField({
    label: 'Permeability cell',
    equipmentKind: 'permeability cell',
    carry: true,
    example: 'CELL-1',
  })
  cell?: string;

  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @MeasureField({
    label: 'Surface of the standard cement',
    dimension: 'surface',
    unit: { US: 'm2/kg', SI: 'm2/kg' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['100', '1500'], SI: ['100', '1500'] },
    required: true,
    carry: true,
    help: 'By its certificate. 3,818 cm2/g is 381.8 m2/kg.',
    example: '381.8',
  })
  standardSurface?: string;

  @MeasureField({
    label: 'Its time',
    ...TIME,
    held: {
      limit: 'surface.time',
      severity: 'advice',
      what: 'It took',
      action: 'Seconds, from the second line to the third.',
    },
    required: true,
    carry: true,
    help: 'Mean of three beds.',
    example: '86.5',
  })
  standardTime?: string;

  @MeasureField({ label: 'Its temperature', ...CELSIUS, required: true, carry: true, example: '23.2' })
  standardTemperature?: string;

  @MeasureField({
    label: 'Its density, g/cm³',
    ...ONE('0.01', '1.8', '4'),
    carry: true,
    required: true,
    example: '3.15',
  })
  standardDensity?: string;

  @MeasureField({
    label: 'Its porosity',
    ...ONE('0.001', '0.4', '0.7'),
    carry: true,
    required: true,
    example: '0.500',
  })
  standardPorosity?: string;

  @MeasureField({
    label: 'Bed of the cell, cm³',
    ...ONE('0.001', '1', '3'),
    required: true,
    carry: true,
    example: '1.895',
  })
  volume?: string;

  @MeasureField({
    label: 'Density of this cement, g/cm³',
    ...ONE('0.01', '1.8', '4'),
    required: true,
    example: '3.15',
  })
  density?: string;

  @MeasureField({
    label: 'Porosity of its bed',
    ...ONE('0.001', '0.4', '0.7'),
    required: true,
    help: '0.500; of type III and what cannot be pressed so far 0.530.',
    example: '0.500',
  })
  porosity?: string;

  @RowsField({
    label: 'Beds',
    row: 'bed',
    Row: BedRow,
    required: true,
    help: 'Two, each of new cement; a third where they do not agree within 1 %.',
    example: {
      US: [
        ['2.985', '92.3', '23.0'],
        ['2.985', '91.5', '23.1'],
      ],
      SI: [
        ['2.985', '92.3', '23.0'],
        ['2.985', '91.5', '23.1'],
      ],
    },
  })
  beds?: BedRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
