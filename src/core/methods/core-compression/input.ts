import { ChoiceField, InstantField, MeasureField, TextField } from '../fields';
import { LENGTH, LOADING_RATE, PressedSpecimenInput } from '../press';

const DIAMETER = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.2' },
  possible: { US: ['1', '12'], SI: ['25', '300'] },
  required: true,
} as const;

/** The readings of one drilled core, from the drill to the press. */
export class CoreCompressionInput extends PressedSpecimenInput {
  @InstantField({
    label: 'Drilled at',
    required: true,
    help: 'From it count the bag and the last day of testing.',
    example: '2031-06-05T09:00:00-04:00',
  })
  drilledAt?: string;

  @InstantField({
    label: 'Sealed in its bag at',
    help: 'Wiped, surface dry.',
    example: '2031-06-05T09:40:00-04:00',
  })
  baggedAt?: string;

  @InstantField({
    label: 'Wetted last at',
    help: 'By sawing or grinding; the drilling itself when the ends were not wetted again.',
    example: '2031-06-05T15:30:00-04:00',
  })
  wettedAt?: string;

  @TextField({ label: 'Where it was drilled', help: 'Member, grid, depth.', example: 'Fender wall, bay 3' })
  location?: string;

  @ChoiceField({
    label: 'Member',
    options: [
      { value: 'bearing', label: 'Load-bearing' },
      { value: 'other', label: 'Not load-bearing' },
    ],
    example: 'bearing',
  })
  member?: 'bearing' | 'other';

  @ChoiceField({
    label: 'Load in the test, against the placement',
    options: [
      { value: 'perpendicular', label: 'Perpendicular to the horizontal plane as placed' },
      { value: 'parallel', label: 'Parallel to it' },
    ],
    example: 'perpendicular',
  })
  direction?: 'perpendicular' | 'parallel';

  @MeasureField({
    label: 'Nominal maximum aggregate',
    aside: true,
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.25', SI: '1' },
    possible: { US: ['0.1', '6'], SI: ['2', '150'] },
    example: { US: '0.75', SI: '19' },
  })
  aggregate?: string;

  @ChoiceField({
    label: 'Steel in it',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      { value: 'trimmed', label: 'Trimmed off' },
      {
        value: 'inside',
        label: 'Still inside',
        means: {
          id: 'core.steel',
          severity: 'invalid',
          beforeLoad: true,
          message: 'There is reinforcement in the core.',
          action: 'Trim it off if one diameter of length remains; otherwise it is not a strength core.',
        },
      },
    ],
    example: 'none',
  })
  steel?: 'none' | 'trimmed' | 'inside';

  @MeasureField({
    label: 'Diameter 1',
    ...DIAMETER,
    help: 'At mid-height.',
    example: { US: '3.94', SI: '100.2' },
  })
  diameter1?: string;

  @MeasureField({
    label: 'Diameter 2',
    ...DIAMETER,
    help: 'At mid-height, at right angles to the first.',
    example: { US: '3.95', SI: '100.4' },
  })
  diameter2?: string;

  @MeasureField({
    label: 'Length before capping',
    ...LENGTH,
    required: true,
    example: { US: '7.6', SI: '194' },
  })
  lengthBefore?: string;

  @MeasureField({
    label: 'Length after capping',
    ...LENGTH,
    required: true,
    help: 'As it stands in the press.',
    example: { US: '7.8', SI: '198' },
  })
  length?: string;

  @ChoiceField({
    label: 'Ends',
    required: true,
    help: 'No pads on cores.',
    options: [
      { value: 'sulfur', label: 'Sulfur caps' },
      { value: 'gypsum', label: 'Gypsum caps' },
      { value: 'ground', label: 'Ground' },
      {
        value: 'pads',
        label: 'Unbonded pads',
        means: {
          id: 'core.pads',
          severity: 'invalid',
          beforeLoad: true,
          message: 'Pads are not for cores.',
          action: 'Cap it with a bonded cap, or grind the ends.',
        },
      },
    ],
    example: 'sulfur',
  })
  ends?: 'sulfur' | 'gypsum' | 'ground' | 'pads';

  @ChoiceField({
    label: 'Ends plane and square',
    options: [
      { value: 'yes', label: 'Within the limit' },
      {
        value: 'no',
        label: 'Not within',
        means: {
          id: 'core.ends',
          severity: 'invalid',
          beforeLoad: true,
          message: 'The ends are not plane and square.',
          action: 'Saw, grind or cap again.',
        },
      },
    ],
    example: 'yes',
  })
  endsPlane?: 'yes' | 'no';

  @ChoiceField({
    label: 'Conditioning',
    aside: true,
    rare: true,
    help: 'Chosen, it gives the in-place estimate of ACI 214.4R too: information, never for the rule on cores.',
    options: [
      { value: 'standard', label: 'In its bag, as the method asks' },
      { value: 'soaked', label: 'Soaked 48 h' },
      { value: 'dried', label: 'Air-dried' },
    ],
    example: 'standard',
  })
  conditioning?: 'standard' | 'soaked' | 'dried';

  @MeasureField(LOADING_RATE)
  loadingRate?: string;

  @TextField({ label: 'Fracture in words', help: 'Type, cracks, bond.', example: 'cones on both ends' })
  fractureWords?: string;
}
