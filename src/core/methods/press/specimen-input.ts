import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';

/** The readings that every specimen in a press has, apart from its own shape. */
export abstract class PressedSpecimenInput extends RunInput {
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
    help: 'The moment it left the moist room or tank.',
    aside: true,
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

  @TextField({
    label: 'Spacers',
    carry: true,
    help: 'Heights with a plus between them, as 4 + 2; or none.',
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

  @MeasureField({
    label: 'Maximum load',
    help: 'Read the peak before anything is reset.',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '10', SI: '0.1' },
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

  @TextField({
    label: 'Levers worked by',
    aside: true,
    help: 'When somebody else than the responsible tester drove the press.',
    example: '',
  })
  operator?: string;

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'Voids, segregation, dry inside, stones pulled out.',
    example: '',
  })
  remarks?: string;
}

/** The names of the readings in a press, the same for every method that shares them. */
export const PRESS_FIELDS = {
  machine: 'machine',
  load: 'maximumLoad',
  at: 'testedAt',
  spacers: 'spacers',
} as const;
