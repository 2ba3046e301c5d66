import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  type MeasureSpec,
  RunInput,
  TextField,
} from '../fields';

const DIAMETER: Pick<MeasureSpec, 'dimension' | 'unit' | 'step' | 'possible'> = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.25' },
  possible: { US: ['1', '20'], SI: ['25', '500'] },
};

/** The readings of one cylinder in compression, in the order they are taken. */
export class CylinderCompressionInput extends RunInput {
  @EquipmentField({
    label: 'Testing machine',
    carry: true,
    equipmentKind: 'compression machine',
    required: true,
    example: 'PRESS-1',
  })
  machine?: string;

  @EquipmentField({ label: 'Calliper', carry: true, equipmentKind: 'calliper', example: 'CALLIPER-1' })
  calliper?: string;

  @InstantField({
    label: 'Out of moist storage at',
    aside: true,
    help: 'The moment it left the moist room or tank.',
    example: '2031-06-11T08:40:00-04:00',
  })
  outOfMoistAt?: string;

  @ChoiceField({
    label: 'Surface',
    required: true,
    options: [
      { value: 'moist', label: 'Moist' },
      { value: 'dry', label: 'Surface dry' },
      { value: 'field', label: 'As its field curing left it' },
    ],
    example: 'moist',
  })
  surface?: 'moist' | 'dry' | 'field';

  @TextField({
    label: 'Defects seen before loading',
    aside: true,
    help: 'Honeycomb, cracks, chipped edges.',
    example: 'none',
  })
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

  @MeasureField({
    label: 'Diameter 1',
    ...DIAMETER,
    help: 'At mid-height.',
    required: true,
    example: { US: '4.01', SI: '101.50' },
  })
  diameter1?: string;

  @MeasureField({
    label: 'Diameter 2',
    ...DIAMETER,
    help: 'At mid-height, at right angles to the first.',
    required: true,
    example: { US: '4.00', SI: '101.75' },
  })
  diameter2?: string;

  @MeasureField({
    label: 'Length',
    aside: true,
    help: 'Needed when the length is not about twice the diameter, and for density.',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.1', SI: '2' },
    possible: { US: ['1', '40'], SI: ['25', '1000'] },
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
      { value: 'no', label: 'Not within' },
    ],
    example: 'yes',
  })
  endsPlane?: 'yes' | 'no';

  @TextField({
    label: 'Spacers',
    carry: true,
    help: 'Heights under the lower block with a plus between them, as 4 + 2; or none.',
    example: { US: '4 + 2', SI: '100 + 50' },
  })
  spacers?: string;

  @ChoiceField({
    label: 'Stack flush',
    carry: true,
    help: 'No feeler goes in anywhere between spacers, block and head.',
    options: [
      { value: 'yes', label: 'Flush' },
      { value: 'no', label: 'A feeler goes in' },
    ],
    example: 'yes',
  })
  flush?: 'yes' | 'no';

  @CheckField({ label: 'Indicator at zero, peak reset', help: 'Before contact, ram floating free.' })
  zeroed?: boolean;

  @CheckField({ label: 'Guard shut, eye protection on', help: 'Everyone near the press.' })
  guarded?: boolean;

  @CheckField({
    label: 'Axis upright below a tenth of the load',
    help: 'With pads: pause, look, release and centre again if it leans.',
  })
  aligned?: boolean;

  @MeasureField({
    label: 'Loading rate',
    aside: true,
    help: 'In the second half of loading, if it was read.',
    dimension: 'stressRate',
    unit: { US: 'psi/s', SI: 'MPa/s' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['0', '2000'], SI: ['0', '14'] },
    example: { US: '36', SI: '0.25' },
  })
  loadingRate?: string;

  @MeasureField({
    label: 'Maximum load',
    help: 'Read the peak before anything is reset.',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '100', SI: '1' },
    possible: { US: ['0', '2000000'], SI: ['0', '9000'] },
    required: true,
    example: { US: '61,870', SI: '279.6' },
  })
  maximumLoad?: string;

  @InstantField({
    label: 'Broken at',
    help: 'The moment of failure.',
    required: true,
    example: '2031-06-11T09:05:00-04:00',
  })
  testedAt?: string;

  @TextField({
    label: 'Levers worked by',
    aside: true,
    help: 'When somebody else than the responsible tester drove the press.',
    example: '',
  })
  operator?: string;

  @ChoiceField({
    label: 'Zero after the test',
    aside: true,
    options: [
      { value: 'same', label: 'Back at zero' },
      { value: 'off', label: 'Not back at zero' },
    ],
    example: 'same',
  })
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
      { value: '6', label: '6 As 5, end left pointed' },
      { value: 'other', label: 'Other: say it in words' },
    ],
    example: '3',
  })
  fracture?: '1' | '2' | '3' | '4' | '5' | '6' | 'other';

  @TextField({ label: 'Fracture in words', aside: true, help: 'When no type fits.', example: '' })
  fractureWords?: string;

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'Voids, segregation, dry inside, stones pulled out.',
    example: '',
  })
  remarks?: string;
}
