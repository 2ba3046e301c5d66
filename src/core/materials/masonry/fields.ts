import { ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { DECLARED } from '../schools';
import { AGGREGATES, type FireAggregate, PRODUCTS, type Product } from './products';

const SIZE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.125', SI: '1' },
  possible: { US: ['1', '40'], SI: ['25', '1000'] },
  required: true,
} as const;
const STRENGTH = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['100', '30000'], SI: ['0.7', '200'] },
} as const;
const ABSORPTION = {
  dimension: 'density',
  unit: { US: 'lb/ft3', SI: 'kg/m3' },
  step: { US: '0.1', SI: '1' },
  possible: { US: ['0.5', '40'], SI: ['8', '640'] },
} as const;

/** What is asked of a manufactured masonry unit: its product specification, its sizes, what a project asks otherwise. */
export class Asked extends RunInput {
  @ChoiceField({
    label: 'Specification',
    options: Object.entries(PRODUCTS).map(([value, label]) => ({ value, label })),
    required: true,
    help: 'It decides what the units are held against.',
    example: 'c90',
  })
  product?: Product;

  @TextField({
    label: 'Edition',
    required: true,
    help: 'As the project names it, with its year.',
    example: '2022',
  })
  edition?: string;

  @MeasureField({
    label: 'Specified width',
    ...SIZE,
    help: 'The standard size, less the joint: 7 5/8 in for a nominal 8 in.',
    example: { US: '7 5/8 in', SI: '194 mm' },
  })
  width?: string;

  @MeasureField({ label: 'Specified height', ...SIZE, example: { US: '7 5/8 in', SI: '194 mm' } })
  height?: string;

  @MeasureField({ label: 'Specified length', ...SIZE, example: { US: '15 5/8 in', SI: '397 mm' } })
  length?: string;

  @MeasureField({
    label: 'Joint',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.125', SI: '1' },
    possible: { US: ['0', '1'], SI: ['0', '25'] },
    help: 'Specified size and joint make the nominal one that web area is related to.',
    example: { US: '3/8 in', SI: '10 mm' },
  })
  joint?: string;

  @MeasureField({
    label: 'Strength expected',
    ...STRENGTH,
    help: 'Net, as this producer’s units have come in. Load and rate are planned from it.',
    example: { US: '2,900 psi', SI: '20 MPa' },
  })
  expectedStrength?: string;

  @MeasureField(DECLARED)
  declared?: string;

  @MeasureField({
    label: 'Mean net strength at least',
    ...STRENGTH,
    help: 'Only where the project asks for more or less than the specification.',
    example: '',
  })
  leastMean?: string;

  @MeasureField({ label: 'Net strength of each at least', ...STRENGTH, example: '' })
  leastEach?: string;

  @MeasureField({ label: 'Mean absorption at most', ...ABSORPTION, example: '' })
  mostAbsorption?: string;

  @MeasureField({ label: 'Absorption of each at most', ...ABSORPTION, example: '' })
  mostAbsorptionEach?: string;

  @ChoiceField({
    label: 'Aggregate',
    options: Object.entries(AGGREGATES).map(([value, label]) => ({ value, label })),
    help: 'Where fire resistance is to be told by the equivalent thickness.',
    example: '',
  })
  fireAggregate?: FireAggregate;

  @TextField({
    label: 'Where the project says so',
    help: 'Section and date: it is printed beside every limit of its own.',
    example: '',
  })
  projectSays?: string;
}

/** What is known of a delivery of units. */
export class Lot extends RunInput {
  @TextField({ label: 'Producer', required: true, example: 'Ferry Lane block works' })
  producer?: string;

  @TextField({ label: 'Producer’s lot', help: 'Ticket, cube or date code.', example: '' })
  producerLot?: string;

  @MeasureField({
    label: 'Units in the lot',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '5000000'], SI: ['1', '5000000'] },
    whole: true,
    required: true,
    help: 'One configuration, same materials, mix and curing.',
    example: '4,200',
  })
  units?: string;

  @TextField({ label: 'Age', help: 'Where it is known; there is no fixed one.', example: '' })
  age?: string;
}
