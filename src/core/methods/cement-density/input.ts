import { CEMENT_BALANCE } from '../cement/fields';
import { EquipmentField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

const ML = {
  dimension: 'volume',
  unit: { US: 'mL', SI: 'mL' },
  step: { US: '0.05', SI: '0.05' },
  possible: { US: ['0', '25'], SI: ['0', '25'] },
} as const;
const CELSIUS = {
  dimension: 'temperature',
  unit: { US: 'degC', SI: 'degC' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['10', '40'], SI: ['10', '40'] },
} as const;

/** A flask, before and after the cement. */
export class FlaskRow extends RowInput {
  @MeasureField({
    label: 'Cement',
    dimension: 'mass',
    unit: { US: 'g', SI: 'g' },
    step: { US: '0.01', SI: '0.01' },
    possible: { US: ['10', '120'], SI: ['10', '120'] },
    required: true,
    example: '',
  })
  mass?: string;

  @MeasureField({ label: 'First reading', ...ML, required: true, example: '' })
  first?: string;

  @MeasureField({ label: 'at', ...CELSIUS, required: true, example: '' })
  firstAt?: string;

  @MeasureField({ label: 'Second reading', ...ML, required: true, example: '' })
  second?: string;

  @MeasureField({ label: 'at', ...CELSIUS, required: true, example: '' })
  secondAt?: string;
}

/** The density of a cement in a flask of liquid that it does not react with. */
export class CementDensityInput extends RunInput {
  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @TextField({ label: 'Liquid', help: 'Free of water.', example: 'kerosene' })
  liquid?: string;

  @RowsField({
    label: 'Flasks',
    row: 'flask',
    Row: FlaskRow,
    required: true,
    help: 'About 64 g of portland cement lands between 18 and 24 mL. No air left in it: roll it until no bubble rises.',
    example: {
      US: [
        ['64.00', '0.45', '23.0', '20.85', '23.1'],
        ['64.05', '0.50', '23.0', '20.90', '23.0'],
      ],
      SI: [
        ['64.00', '0.45', '23.0', '20.85', '23.1'],
        ['64.05', '0.50', '23.0', '20.90', '23.0'],
      ],
    },
  })
  flasks?: FlaskRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
