import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import {
  BROKEN_AT,
  CALLIPER,
  DEFECTS,
  FIRST_DIAMETER,
  FLUSH,
  GAP,
  GUARDED,
  LENGTH,
  LOADING_RATE,
  MACHINE,
  MAXIMUM_LOAD,
  OFFSET,
  OPERATOR,
  OUT_OF_MOIST,
  REMARKS,
  SECOND_DIAMETER,
  SPACERS,
  SURFACE,
  ZERO_AFTER,
  ZEROED,
} from '../press';

/** The readings of one cylinder in compression, in the order they are taken. */
export class CylinderCompressionInput extends RunInput {
  @EquipmentField(MACHINE)
  machine?: string;

  @EquipmentField(CALLIPER)
  calliper?: string;

  @InstantField(OUT_OF_MOIST)
  outOfMoistAt?: string;

  @ChoiceField(SURFACE)
  surface?: 'moist' | 'dry' | 'field';

  @TextField(DEFECTS)
  defects?: string;

  @MeasureField({
    label: 'Gap at the square',
    help: 'Largest gap between end and square, over the diameter.',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.01', SI: '0.25' },
    possible: { US: ['0', '2'], SI: ['0', '50'] },
    example: { US: '0.02', SI: '0.5' },
  })
  outOfSquareGap?: string;

  @MeasureField(FIRST_DIAMETER)
  diameter1?: string;

  @MeasureField(SECOND_DIAMETER)
  diameter2?: string;

  @MeasureField({
    label: 'Length',
    aside: true,
    help: 'Needed when the length is not about twice the diameter, and for density.',
    ...LENGTH,
    example: { US: '8.0', SI: '203' },
  })
  length?: string;

  @MeasureField({
    label: 'Mass',
    aside: true,
    help: 'Towel dry; gives the density together with the length.',
    dimension: 'mass',
    unit: { US: 'lb', SI: 'kg' },
    step: { US: '0.05', SI: '0.01' },
    possible: { US: ['0.1', '300'], SI: ['0.05', '140'] },
    example: { US: '8.51', SI: '3.952' },
  })
  mass?: string;

  @ChoiceField({
    label: 'Ends',
    carry: true,
    required: true,
    options: [
      { value: 'pads', label: 'Unbonded pads' },
      { value: 'sulfur', label: 'Sulfur caps' },
      { value: 'gypsum', label: 'Gypsum caps' },
      { value: 'ground', label: 'Ground' },
      { value: 'as-cast', label: 'As cast' },
    ],
    example: 'pads',
  })
  ends?: 'pads' | 'sulfur' | 'gypsum' | 'ground' | 'as-cast';

  @EquipmentField({
    label: 'Pads and retainers',
    carry: true,
    help: 'Scan the retainer.',
    equipmentKind: 'unbonded pads',
    example: '',
  })
  pads?: string;

  @ChoiceField({
    label: 'Ends plane',
    help: 'Straightedge and feeler; for pads, no depression they cannot take up.',
    options: [
      { value: 'yes', label: 'Within the limit' },
      {
        value: 'no',
        label: 'Not within',
        means: {
          id: 'cylinder.planeness',
          severity: 'invalid',
          beforeLoad: true,
          limit: 'cylinder.planeness',
          message: 'The ends, caps or pads are not in order.',
          action: 'Grind, cap or change the pads before testing.',
        },
      },
    ],
    example: 'yes',
  })
  endsPlane?: 'yes' | 'no';

  @TextField({
    ...SPACERS,
    help: 'Heights under the lower block with a plus between them, as 4 + 2; or none.',
  })
  spacers?: string;

  @ChoiceField(FLUSH)
  flush?: 'yes' | 'no';

  @CheckField(ZEROED)
  zeroed?: boolean;

  @CheckField(GUARDED)
  guarded?: boolean;

  @CheckField({
    label: 'Axis upright below a tenth of the load',
    help: 'With pads: pause, look, release and centre again if it leans.',
  })
  aligned?: boolean;

  @MeasureField(LOADING_RATE)
  loadingRate?: string;

  @MeasureField({ ...MAXIMUM_LOAD, step: { US: '100', SI: '1' } })
  maximumLoad?: string;

  @InstantField(BROKEN_AT)
  testedAt?: string;

  @TextField(OPERATOR)
  operator?: string;

  @ChoiceField(ZERO_AFTER)
  zeroAfter?: 'same' | 'off';

  @ChoiceField({
    label: 'Fracture type',
    required: true,
    options: [
      { value: '1', label: '1 Cones on both ends' },
      { value: '2', label: '2 Cone on one end, vertical cracks through the other' },
      { value: '3', label: '3 Vertical cracks through both ends' },
      { value: '4', label: '4 Diagonal, no cracks through the ends' },
      { value: '5', label: '5 Side fracture at one end' },
      { value: '6', label: '6 Side fracture at one end, the end left pointed' },
      { value: 'other', label: 'Other: say it in words' },
    ],
    example: '3',
  })
  fracture?: '1' | '2' | '3' | '4' | '5' | '6' | 'other';

  @TextField({ label: 'Fracture in words', aside: true, help: 'When no type fits.', example: '' })
  fractureWords?: string;

  @TextField(REMARKS)
  remarks?: string;

  // What came later stands last: columns of exports keep their places.
  @MeasureField({
    label: 'Mass in water',
    aside: true,
    rare: true,
    help: 'Hung in water at 73 °F [23 °C]; gives the density without the length.',
    dimension: 'mass',
    unit: { US: 'lb', SI: 'kg' },
    step: { US: '0.05', SI: '0.01' },
    possible: { US: ['0.05', '200'], SI: ['0.02', '90'] },
    example: { US: '4.85', SI: '2.270' },
  })
  massInWater?: string;

  @ChoiceField({
    label: 'Pads looked over',
    aside: true,
    help: 'Both of them, before this test.',
    options: [
      { value: 'sound', label: 'Sound' },
      { value: 'split', label: 'Split or cracked, longer than 3/8 in [10 mm]' },
      { value: 'hard', label: 'Hard spots, or pressed out of shape' },
    ],
    example: 'sound',
  })
  padsLooked?: 'sound' | 'split' | 'hard';

  @MeasureField({
    label: 'Deepest hollow of an end',
    aside: true,
    rare: true,
    help: 'Under a straightedge, where one is seen: pads bridge only shallow ones.',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.01', SI: '0.5' },
    possible: { US: ['0', '3'], SI: ['0', '75'] },
    example: { US: '0.05', SI: '1.5' },
  })
  depression?: string;

  @MeasureField(GAP)
  gap?: string;

  @MeasureField(OFFSET)
  offset?: string;

  @ChoiceField({
    label: 'Diameter',
    aside: true,
    rare: true,
    help: 'Of this cylinder, or of its lot where the moulds are alike and enough of them were measured.',
    options: [
      { value: 'own', label: 'Measured on this one' },
      { value: 'lot', label: 'Mean of its lot' },
    ],
    example: 'own',
  })
  diameterBy?: 'own' | 'lot';
}
