import { MOISTURE, WEATHERING } from '../../materials/rock/fields';
import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { countSpec, lengthSpec } from '../specs';

/** A core that was compressed, and the pieces broken between the points beside it. */
export class PairRow extends RowInput {
  @TextField({ label: 'Core', required: true, also: { place: '' }, example: 'C-31' })
  core?: string;

  @MeasureField({
    label: 'Mean index beside it',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['1', '4000'], SI: ['0.01', '30'] },
    required: true,
    also: { is50: '' },
    example: { US: '410', SI: '2.83' },
  })
  index?: string;

  @MeasureField({
    label: 'Pieces',
    ...countSpec('1', '20'),
    also: { n: '' },
    example: '3',
  })
  pieces?: string;

  @MeasureField({
    label: 'Strength of the core',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['30', '75000'], SI: ['0.2', '500'] },
    required: true,
    also: { ucs: '' },
    example: { US: '9100', SI: '62.7' },
  })
  strength?: string;

  @MeasureField({
    label: 'Apart',
    ...lengthSpec(['0.1', '30'], ['0.01', '10']),
    unit: { US: 'ft', SI: 'm' },
    possible: { US: ['0', '300'], SI: ['0', '100'] },
    example: '',
  })
  apart?: string;

  @TextField({
    label: 'Left out because',
    aside: true,
    example: '',
  })
  leftOut?: string;
}

/** Pairs of strength and index of one rock, in one state: what a factor of the site is found from. */
export class SiteFactorInput extends RunInput {
  @ChoiceField({ label: 'Weathering of the pairs', required: true, options: WEATHERING, example: 'II' })
  weathering?: string;

  @ChoiceField({ label: 'Moisture of the pairs', required: true, options: MOISTURE, example: 'received' })
  moisture?: string;

  @RowsField({
    label: 'Pairs',
    row: 'pair',
    Row: PairRow,
    required: true,
    help: 'A core that broke intact, and at least three pieces cut beside it, of the same moisture and direction.',
    example: {
      US: [
        ['C-31', '410', '3', '9,150'],
        ['C-32', '265', '3', '5,900'],
        ['C-34', '520', '4', '11,800'],
        ['C-35', '610', '3', '13,350'],
        ['C-37', '350', '3', '7,980'],
        ['C-38', '455', '3', '10,250'],
        ['C-40', '690', '5', '15,720'],
        ['C-41', '300', '3', '6,810'],
        ['C-43', '570', '3', '12,900'],
        ['C-44', '480', '3', '10,690'],
      ],
      SI: [
        ['C-31', '2.83', '3', '63.1'],
        ['C-32', '1.83', '3', '40.7'],
        ['C-34', '3.59', '4', '81.4'],
        ['C-35', '4.21', '3', '92.0'],
        ['C-37', '2.41', '3', '55.0'],
        ['C-38', '3.14', '3', '70.7'],
        ['C-40', '4.76', '5', '108.4'],
        ['C-41', '2.07', '3', '47.0'],
        ['C-43', '3.93', '3', '88.9'],
        ['C-44', '3.31', '3', '73.7'],
      ],
    },
  })
  pairs?: PairRow[];

  @InstantField({ label: 'Put together at', required: true, example: '2031-06-20T15:10:00-04:00' })
  madeAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
