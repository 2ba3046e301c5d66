import { BendInput } from '../bend/input';
import { ChoiceField, MeasureField } from '../fields';
import { countSpec, lengthSpec } from '../specs';

const MODULUS = {
  dimension: 'stress',
  unit: { US: 'ksi', SI: 'MPa' },
  step: { US: '10', SI: '100' },
  possible: { US: ['50', '40000'], SI: ['400', '250000'] },
  aside: true,
} as const;

/** The readings of a plain, reinforced, fibre or composite beam that is bent by its displacement. */
export class BeamBendingInput extends BendInput {
  @ChoiceField({
    label: 'Beam',
    required: true,
    carry: true,
    options: [
      { value: 'plain', label: 'Plain concrete' },
      { value: 'bars', label: 'With bars' },
      { value: 'fibre', label: 'With fibres' },
      { value: 'composite', label: 'With something else: bamboo, mesh, strip' },
    ],
    example: 'bars',
  })
  kind?: 'plain' | 'bars' | 'fibre' | 'composite';

  @ChoiceField({
    label: 'Loaded',
    required: true,
    carry: true,
    options: [
      { value: 'centre', label: 'In the middle' },
      { value: 'third', label: 'At the third points' },
    ],
    example: 'centre',
  })
  loading?: 'centre' | 'third';

  @ChoiceField({
    label: 'Displacement is',
    required: true,
    carry: true,
    options: [
      { value: 'crosshead', label: 'Travel of the crosshead' },
      { value: 'net', label: 'Net deflection, by a yoke' },
    ],
    help: 'Travel has the play of supports and frame in it; its toe is cut off.',
    example: 'crosshead',
  })
  measuredBy?: 'crosshead' | 'net';

  @ChoiceField({
    label: 'First crack counts',
    aside: true,
    options: [
      { value: 'found', label: 'As the record was read' },
      { value: 'seen', label: 'As it was seen' },
    ],
    help: 'Where the record falls more than once: the fall nearest to the force that was called.',
    example: 'found',
  })
  crackTaken?: 'found' | 'seen';

  @MeasureField({
    label: 'Area of the reinforcement',
    dimension: 'area',
    unit: { US: 'in2', SI: 'mm2' },
    step: { US: '0.001', SI: '1' },
    possible: { US: ['0.001', '20'], SI: ['0.5', '13000'] },
    aside: true,
    help: 'In the tension zone, all of it.',
    example: { US: '0.1', SI: '64' },
  })
  barArea?: string;

  @MeasureField({
    label: 'From the top to its middle',
    ...lengthSpec(['0.05', '20'], ['1', '500']),
    possible: { US: ['0.2', '20'], SI: ['5', '500'] },
    aside: true,
    example: { US: '5', SI: '125' },
  })
  barDepth?: string;

  @MeasureField({
    label: 'Its perimeter, all of it',
    ...lengthSpec(['0.01', '40'], ['0.5', '1000']),
    possible: { US: ['0.02', '40'], SI: ['0.5', '1000'] },
    aside: true,
    example: { US: '1.6', SI: '40' },
  })
  barPerimeter?: string;

  @MeasureField({ label: 'Its modulus', ...MODULUS, example: { US: '7,000', SI: '48,000' } })
  barModulus?: string;

  @MeasureField({ label: 'Modulus of the concrete', ...MODULUS, example: { US: '4,200', SI: '29,000' } })
  concreteModulus?: string;

  @MeasureField({
    label: 'Compressive strength of the concrete',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['500', '20000'], SI: ['3', '140'] },
    aside: true,
    help: 'For its shear.',
    example: { US: '4,600', SI: '32' },
  })
  concreteStrength?: string;

  @MeasureField({
    label: 'Cracks',
    ...countSpec('1', '60'),
    aside: true,
    help: 'At the end, on the face in tension.',
    example: '3',
  })
  cracks?: string;

  @MeasureField({
    label: 'Crack to crack, mean',
    ...lengthSpec(['0.05', '40'], ['1', '1000']),
    aside: true,
    example: { US: '3.5', SI: '90' },
  })
  spacing?: string;

  @MeasureField({
    label: 'Widest crack',
    ...lengthSpec(['0.001', '4'], ['0.05', '100']),
    aside: true,
    held: {
      limit: 'bend.widest',
      what: 'A crack of',
      severity: 'advice',
      action: 'Read it again: is it the opening at the end, with the halves apart?',
    },
    example: { US: '0.08', SI: '2.1' },
  })
  widest?: string;

  @ChoiceField({
    label: 'At the end',
    options: [
      { value: 'snapped', label: 'Snapped in two' },
      { value: 'torn', label: 'Reinforcement tore' },
      { value: 'slipped', label: 'Reinforcement slipped' },
      { value: 'pulled', label: 'Fibres pulled out' },
      { value: 'shear', label: 'Slanting crack to the load' },
      { value: 'held', label: 'Still held together' },
    ],
    required: true,
    example: 'torn',
  })
  failure?: 'snapped' | 'torn' | 'slipped' | 'pulled' | 'shear' | 'held';
}
