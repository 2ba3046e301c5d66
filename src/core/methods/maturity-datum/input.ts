import { EquipmentField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { STRENGTH } from '../maturity/strengths';
import { RowsField } from '../rows-field';
import { TEMPERATURE } from '../specs';

/** Cubes of one age at one temperature. */
export class CubeRow extends RowInput {
  @MeasureField({ label: 'Cured at', ...TEMPERATURE, required: true, example: { US: '73.4', SI: '23' } })
  temperature?: string;

  @MeasureField({
    label: 'Age',
    help: 'From the contact of water and cement.',
    dimension: 'duration',
    unit: { US: 'h', SI: 'h' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['1', '2500'], SI: ['1', '2500'] },
    required: true,
    example: '24',
  })
  age?: string;

  @MeasureField({ label: 'Strength', ...STRENGTH, required: true, example: { US: '1500', SI: '10.3' } })
  strength?: string;
}

/** Ages of the example, h, and rates of its three temperatures, 1/day. */
const AGES = [12, 24, 48, 96, 192, 384];
const RATES = {
  US: [
    ['46.4', 0.16],
    ['73.4', 0.38],
    ['100.4', 0.7],
  ],
  SI: [
    ['8', 0.16],
    ['23', 0.38],
    ['38', 0.7],
  ],
} as const;

function rows(system: 'US' | 'SI'): string[][] {
  const most = system === 'US' ? 6000 : 42;
  return RATES[system].flatMap(([temperature, k]) =>
    AGES.map((hours) => {
      const grown = k * (hours / 24 - 0.1);
      return [temperature, String(hours), ((most * grown) / (1 + grown)).toFixed(system === 'US' ? 0 : 1)];
    }),
  );
}

/** Mortar cubes cured at several temperatures: what a cement makes of warmth. */
export class MaturityDatumInput extends RunInput {
  @TextField({ label: 'Cement and admixtures', example: 'Example cement, type I' })
  cement?: string;

  @EquipmentField({ label: 'Machine', equipmentKind: 'compression machine', example: 'PRESS-1' })
  machine?: string;

  @RowsField({
    label: 'Cubes',
    help: 'At the lowest, the highest and a middle temperature of the job; first at about twice the final set, then each time at double the age.',
    Row: CubeRow,
    row: 'age',
    example: { US: rows('US'), SI: rows('SI') },
  })
  cubes?: CubeRow[];

  @InstantField({ label: 'Last cubes broken', required: true, example: '2031-05-30T10:00:00-04:00' })
  madeAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
