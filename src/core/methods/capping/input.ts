import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { MASS } from '../mass-spec';
import { RowsField } from '../rows-field';
import { countSpec } from '../specs';
import { LookRow, MixRow, PlaneRow, POT, PourRow, ThicknessRow } from './rows';

/** The readings of a batch of specimens that are capped. */
export class CappingInput extends RunInput {
  @ChoiceField({
    label: 'Caps',
    required: true,
    options: [
      { value: 'sulfur', label: 'Sulfur mortar' },
      { value: 'gypsum', label: 'High-strength gypsum' },
    ],
    example: 'sulfur',
  })
  kind?: 'sulfur' | 'gypsum';

  @EquipmentField({
    label: 'Lot of compound',
    equipmentKind: 'capping compound',
    required: true,
    example: 'LOT-1',
  })
  lot?: string;

  @ChoiceField({
    label: 'Material in the pot',
    options: [
      { value: 'fresh', label: 'Fresh only' },
      { value: 'remelted', label: 'Melted before' },
      { value: 'recovered', label: 'Old caps recovered' },
    ],
    example: 'fresh',
  })
  material?: 'fresh' | 'remelted' | 'recovered';

  @MeasureField({
    label: 'Times the oldest of it was melted',
    ...countSpec('1', '50'),
    help: 'This time counted.',
    example: '2',
  })
  melts?: string;

  @CheckField({ label: 'Hood or exhaust on, pot and tools dry, lid and shield at hand' })
  safe?: boolean;

  @MeasureField({
    label: 'Pot at the start',
    ...POT,
    help: 'All-metal thermometer in the middle of the mass, stirred.',
    example: { US: '268', SI: '131' },
  })
  potStart?: string;

  @MeasureField({
    label: 'Pot at its hottest',
    ...POT,
    help: 'Looked at every half hour and at the end.',
    example: { US: '274', SI: '134' },
  })
  potHottest?: string;

  @CheckField({ label: 'Ends brushed, free of oil, surface dry; nothing steams or foams' })
  endsDry?: boolean;

  @TextField({ label: 'Plate and guide', help: 'Numbers, oiled thinly, warm.', example: 'plate 2, guide 2' })
  plate?: string;

  @CheckField({
    label: 'Faces dry and brushed; plate plane, level both ways, thinly oiled',
    missed: {
      id: 'caps.plate',
      severity: 'departure',
      message: 'Faces and plate were not ticked.',
      action: 'A plate out of level makes a tilted cap, a damp face a hollow one: check both, then cap.',
      remark: 'Faces and capping plate not shown to be in order.',
    },
  })
  levelled?: boolean;

  @ChoiceField({
    label: 'Mould',
    options: [
      { value: 'plate', label: 'Plate' },
      { value: 'two', label: 'Brick mould, two small halves' },
      { value: 'one', label: 'Brick mould, one large half' },
    ],
    example: '',
  })
  mould?: 'plate' | 'two' | 'one';

  @RowsField({
    label: 'Gypsum mixed',
    row: 'mix',
    Row: MixRow,
    help: 'Each mix as it was weighed out. Too thick is thrown away: water is never added later.',
    example: { US: [], SI: [] },
  })
  mixes?: MixRow[];

  @InstantField({
    label: 'First cap at',
    help: 'From here the first specimen is out of moist storage.',
    example: '2031-06-10T13:10:00-04:00',
  })
  firstCapAt?: string;

  @InstantField({
    label: 'Youngest cap at',
    help: 'The second end of the last specimen, recapped ones too: hardening counts from here.',
    required: true,
    example: '2031-06-10T13:55:00-04:00',
  })
  lastCapAt?: string;

  @RowsField({
    label: 'Caps as poured',
    row: 'cap',
    Row: PourRow,
    help: 'Press the ends in the picture as they are capped, or type.',
    example: {
      US: [
        ['EXAMPLE-A', '1', '2031-06-10T13:20:00-04:00', '270', 'P2'],
        ['EXAMPLE-A', '2', '2031-06-10T13:31:00-04:00', '271', 'P2'],
        ['EXAMPLE-C', '1', '2031-06-10T13:44:00-04:00', '272', 'P2'],
        ['EXAMPLE-C', '2', '2031-06-10T13:55:00-04:00', '272', 'P2'],
      ],
      SI: [
        ['EXAMPLE-A', '1', '2031-06-10T13:20:00-04:00', '132', 'P2'],
        ['EXAMPLE-A', '2', '2031-06-10T13:31:00-04:00', '133', 'P2'],
        ['EXAMPLE-C', '1', '2031-06-10T13:44:00-04:00', '133', 'P2'],
        ['EXAMPLE-C', '2', '2031-06-10T13:55:00-04:00', '133', 'P2'],
      ],
    },
  })
  pours?: PourRow[];

  @InstantField({
    label: 'Back in moist storage at',
    help: 'Gypsum: never immersed, at most four hours in a moist room.',
    example: '2031-06-10T14:05:00-04:00',
  })
  returnedAt?: string;

  @RowsField({
    label: 'Caps looked at',
    row: 'cap',
    Row: LookRow,
    help: 'Mean of four edges, or half of what both caps add to the height. Feeler 0.003 in [0.08 mm] under a 16 in [400 mm] straightedge does not pass.',
    example: { US: [], SI: [] },
  })
  inspected?: LookRow[];

  @MeasureField({
    label: 'Compound in the pot at the start',
    ...MASS,
    help: 'By weight, or by the mark in the pot. From it follows for how many caps it lasts.',
    example: '',
  })
  potMass?: string;

  @MeasureField({ label: 'Filled in again', ...MASS, example: '' })
  added?: string;

  @InstantField({
    label: 'Filled in at',
    help: 'After the last cap of the day: it melts overnight.',
    example: '',
  })
  addedAt?: string;

  @ChoiceField({
    label: 'Tapped and looked at',
    required: true,
    help: 'A ring is bonded, a dull sound hollow; holes, cracks and chips into the face count.',
    options: [
      { value: 'sound', label: 'All sound' },
      { value: 'recapped', label: 'Some recapped, now sound' },
      {
        value: 'bad',
        label: 'Some not in order',
        means: {
          id: 'caps.sounding',
          severity: 'invalid',
          message: 'Caps are hollow, cracked or chipped into the face.',
          action: 'Knock them off and cap again: that is always cheaper before the press.',
        },
      },
    ],
    example: 'sound',
  })
  sounding?: 'sound' | 'recapped' | 'bad';

  @TextField({
    label: 'Which, and why',
    help: 'Labels of recapped or faulty ones.',
    aside: true,
    example: '',
  })
  faults?: string;

  @RowsField({
    label: 'Planeness',
    row: 'specimen',
    Row: PlaneRow,
    help: 'Of each specimen drawn: three diameters of its caps, feeler 0.002 in [0.05 mm].',
    example: {
      US: [
        ['EXAMPLE-A', 'yes', 'yes', 'yes'],
        ['EXAMPLE-C', 'yes', 'yes', 'yes'],
      ],
      SI: [
        ['EXAMPLE-A', 'yes', 'yes', 'yes'],
        ['EXAMPLE-C', 'yes', 'yes', 'yes'],
      ],
    },
  })
  planeness?: PlaneRow[];

  @RowsField({
    label: 'Thickness, after the test',
    row: 'specimen',
    Row: ThicknessRow,
    help: 'Of each specimen drawn: its strength as tested, then six or more pieces of its top cap.',
    example: {
      US: [
        ['EXAMPLE-A', '4880', '0.18', '0.20', '0.19', '0.21', '0.17', '0.18'],
        ['EXAMPLE-C', '4790', '0.16', '0.19', '0.18', '0.17', '0.20', '0.18'],
      ],
      SI: [
        ['EXAMPLE-A', '33.6', '4.6', '5.0', '4.8', '5.2', '4.4', '4.6'],
        ['EXAMPLE-C', '33.0', '4.2', '4.8', '4.6', '4.4', '5.0', '4.6'],
      ],
    },
  })
  thickness?: ThicknessRow[];

  @TextField({ label: 'Remarks', aside: true, help: 'What was odd.', example: '' })
  remarks?: string;
}
