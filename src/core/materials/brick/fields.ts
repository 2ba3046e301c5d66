import { ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { DECLARED } from '../schools';
import { GRADES, type Grade, PRODUCTS, type Product } from './products';

const SIZE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.0625', SI: '1' },
  possible: { US: ['1', '17'], SI: ['25', '430'] },
  required: true,
} as const;

/** What is asked of clay brick: specification, grade, sizes, and the alternates that a project allows. */
export class Asked extends RunInput {
  @ChoiceField({
    label: 'Specification',
    options: Object.entries(PRODUCTS).map(([value, label]) => ({ value, label })),
    required: true,
    example: 'c216',
  })
  product?: Product;

  @TextField({ label: 'Edition', required: true, help: 'With its year.', example: '2023' })
  edition?: string;

  @ChoiceField({
    label: 'Grade',
    options: Object.entries(GRADES).map(([value, label]) => ({ value, label })),
    help: 'SW, MW, NW of facing and building brick; SX, MX, NX and F, R of paving. EN and IS go by class.',
    example: 'sw',
  })
  grade?: Grade;

  @MeasureField(DECLARED)
  declared?: string;

  @ChoiceField({
    label: 'Type',
    options: [
      { value: 'fbx', label: 'FBX, tight sizes' },
      { value: 'fbs', label: 'FBS, general' },
    ],
    help: 'Of facing brick: what its sizes are held to.',
    example: 'fbs',
  })
  type?: 'fbx' | 'fbs';

  @MeasureField({
    label: 'Specified thickness',
    ...SIZE,
    help: 'Bed depth, across the wall.',
    example: { US: '3 5/8 in', SI: '92 mm' },
  })
  width?: string;

  @MeasureField({ label: 'Specified height', ...SIZE, example: { US: '2 1/4 in', SI: '57 mm' } })
  height?: string;

  @MeasureField({ label: 'Specified length', ...SIZE, example: { US: '7 5/8 in', SI: '194 mm' } })
  length?: string;

  @MeasureField({
    label: 'Strength expected',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['500', '30000'], SI: ['3.5', '200'] },
    help: 'On the gross area, as this brick has come in. Load and rate are planned from it.',
    example: { US: '6,100 psi', SI: '42 MPa' },
  })
  expectedStrength?: string;

  @ChoiceField({
    label: 'Absorption alternate',
    options: [
      { value: 'no', label: 'Not used' },
      { value: 'yes', label: 'Used where each takes up at most 8 % cold' },
    ],
    help: 'Saturation need not be met then; the report says that it was used.',
    example: '',
  })
  coldAlternate?: 'no' | 'yes';

  @MeasureField({
    label: 'Low weathering: index of the place',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '2000'], SI: ['0', '2000'] },
    whole: true,
    help: 'Only where the alternate is used: below 50 neither boiling absorption nor saturation need be met.',
    example: '',
  })
  weatheringIndex?: string;

  @ChoiceField({
    label: 'Abrasion',
    options: [
      { value: '1', label: 'Type I' },
      { value: '2', label: 'Type II' },
      { value: '3', label: 'Type III' },
    ],
    help: 'Of paving brick.',
    example: '',
  })
  wear?: '1' | '2' | '3';

  @ChoiceField({
    label: 'Efflorescence',
    options: [
      { value: 'any', label: 'Nothing asked' },
      { value: 'none', label: 'Not effloresced' },
    ],
    example: '',
  })
  efflorescence?: 'any' | 'none';

  @TextField({
    label: 'Where the project says so',
    help: 'Section and date, or the map: the evidence of an alternate.',
    example: '',
  })
  projectSays?: string;
}

/** What is known of a delivery of brick. */
export class Lot extends RunInput {
  @TextField({ label: 'Producer', required: true, example: 'Saltmarsh clay works' })
  producer?: string;

  @TextField({ label: 'Producer’s lot', help: 'Kiln, run, date.', example: '' })
  producerLot?: string;

  @MeasureField({
    label: 'Bricks in the lot',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '50000000'], SI: ['1', '50000000'] },
    whole: true,
    required: true,
    example: '36,000',
  })
  units?: string;
}
