import {
  CheckField,
  ChoiceField,
  CountsField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { countSpec, percentSpec, SECONDS } from '../specs';
import { LevelRow, READING } from './rows';

/** The readings of one air test by the volumetric method, in the order they are taken. */
export class AirVolumetricInput extends RunInput {
  @EquipmentField({ label: 'Volumetric meter', equipmentKind: 'volumetric meter', example: 'ROLL-1' })
  meter?: string;

  @ChoiceField({
    label: 'Alcohol',
    help: 'The two ways differ in formula and in what a cup means: never mix them.',
    options: [
      { value: 'before', label: 'Before rolling, amount measured' },
      { value: 'after', label: 'After rolling, cups that are added back (older agencies)' },
    ],
    required: true,
    example: 'before',
  })
  variant?: 'before' | 'after';

  @InstantField({ label: 'Fill started', event: 'air-fill', example: '2031-05-14T09:33:40-04:00' })
  fillStartedAt?: string;

  @CountsField({ label: 'Strokes counted', help: 'One number a layer, as 25 25.', example: '25 25' })
  strokes?: string;

  @CountsField({ label: 'Taps counted', help: 'One number a layer, as 12 12.', example: '12 12' })
  taps?: string;

  @CheckField({ label: 'Wet-sieved' })
  wetSieved?: boolean;

  @InstantField({ label: 'Struck off', event: 'air-struck', example: '2031-05-14T09:35:50-04:00' })
  struckAt?: string;

  @MeasureField({
    label: 'Alcohol poured in',
    help: '70 % isopropyl, measured before it goes in. Water, at least 1 pint [0.5 L], goes in first.',
    dimension: 'volume',
    unit: { US: 'pt', SI: 'L' },
    step: { US: '0.1', SI: '0.05' },
    possible: { US: ['0', '20'], SI: ['0', '10'] },
    example: { US: '1.5', SI: '0.7' },
  })
  alcohol?: string;

  @CheckField({
    label: 'Level on zero',
    help: 'Bottom of the meniscus.',
    missed: {
      id: 'air-volumetric.zero',
      severity: 'invalid',
      message: 'The level was not set to zero before rolling.',
      action:
        'Make a new test on a new portion of the sample if its clock allows, else on the load’s next sample.',
    },
  })
  zeroed?: boolean;

  @MeasureField({
    label: 'Water poured in first',
    help: 'Before the alcohol.',
    dimension: 'volume',
    unit: { US: 'pt', SI: 'L' },
    step: { US: '0.1', SI: '0.05' },
    possible: { US: ['0', '20'], SI: ['0', '10'] },
    example: '',
    held: {
      limit: 'air-volumetric.water-first',
      severity: 'departure',
      what: 'Water before the alcohol:',
      action: 'At least that much water goes in first.',
    },
  })
  waterFirst?: string;

  @MeasureField({
    label: 'Longest upside down',
    help: 'At a time, by eye or stopwatch.',
    ...SECONDS,
    example: '',
    held: {
      limit: 'air-volumetric.inverted',
      severity: 'departure',
      what: 'Upside down for',
      action: 'Stones jam in the neck: turn it upright sooner and repeat.',
    },
  })
  inverted?: string;

  @InstantField({ label: 'First inversion', event: 'shake-start', example: '' })
  shakeStartedAt?: string;

  @InstantField({ label: 'Aggregate heard loose', event: 'shake-end', example: '' })
  shakeEndedAt?: string;

  @InstantField({ label: 'Rolling started', event: 'roll-start', example: '' })
  rollStartedAt?: string;

  @InstantField({ label: 'Rolling ended', event: 'roll-end', example: '' })
  rollEndedAt?: string;

  @ChoiceField({
    label: 'Liquid leaked',
    options: [
      { value: 'no', label: 'No' },
      {
        value: 'yes',
        label: 'Yes',
        means: {
          id: 'air-volumetric.leak',
          severity: 'invalid',
          message: 'Liquid leaked: the reading is too high.',
          action:
            'Clean flange and gasket. Make a new test on a new portion of the sample if its clock allows, else on the load’s next sample.',
        },
      },
    ],
    example: 'no',
  })
  leaked?: 'no' | 'yes';

  @InstantField({ label: 'Upright', event: 'meter-standing', example: '' })
  uprightAt?: string;

  @RowsField({
    label: 'Level while it stands',
    row: 'reading',
    Row: LevelRow,
    help: 'From these the level is judged steady.',
    example: { US: [], SI: [] },
  })
  standing?: LevelRow[];

  @InstantField({ label: 'Level steady', event: 'meter-stable', example: '' })
  steadyAt?: string;

  @MeasureField({
    label: 'Foam above the liquid',
    help: 'In full divisions of the neck.',
    ...countSpec('0.5', '20'),
    example: '',
  })
  foam?: string;

  @MeasureField({ label: 'First reading', help: 'Bottom of the meniscus.', ...READING, example: '6.25' })
  reading1?: string;

  @MeasureField({ label: 'Reading after rolling again', ...READING, example: '6.25' })
  reading2?: string;

  @MeasureField({ label: 'Third reading', help: 'Only when the first two differ.', ...READING, example: '' })
  reading3?: string;

  @MeasureField({
    label: 'Cups of water',
    help: 'Calibrated cups of water added to bring the level on to the scale.',
    ...countSpec('1', '20'),
    example: '0',
  })
  waterCups?: string;

  @MeasureField({
    label: 'Cup, of the bowl',
    help: 'Volume of the calibrated cup in percent of the bowl, from its calibration.',
    ...percentSpec('0.01', '5'),
    example: '',
    held: {
      limit: 'air-volumetric.cup',
      severity: 'departure',
      what: 'The cup holds, of the bowl,',
      action: 'Have the cup calibrated: every cup counts as one percent.',
    },
  })
  cup?: string;

  @MeasureField({
    label: 'Cups of alcohol',
    help: 'Only the older way: cups added after rolling to clear the foam.',
    ...countSpec('1', '20'),
    example: '',
  })
  alcoholCups?: string;

  @ChoiceField({
    label: 'Packed concrete left in the bowl',
    options: [
      { value: 'no', label: 'No, all loose' },
      {
        value: 'yes',
        label: 'Yes',
        means: {
          id: 'air-volumetric.stuck',
          severity: 'invalid',
          message: 'Packed concrete was left in the bowl: not all of its air came out.',
          action:
            'Make a new test on a new portion of the sample if its clock allows, else on the load’s next sample.',
        },
      },
    ],
    example: 'no',
  })
  stuck?: 'no' | 'yes';

  @MeasureField({
    label: 'Absolute volume of the mixture',
    help: 'Only for wet-sieved concrete: everything, air-free, any unit of volume.',
    ...countSpec('0.01', '100000'),
    example: '',
  })
  wholeVolume?: string;

  @MeasureField({
    label: 'Volume of aggregate on the sieve',
    help: 'Only for wet-sieved concrete, in the same unit.',
    ...countSpec('0.01', '100000'),
    example: '',
  })
  retainedVolume?: string;

  @InstantField({ label: 'Read at', event: 'air-read', example: '2031-05-14T09:46:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
