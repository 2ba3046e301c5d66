import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  LogField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { PLANES, type Plane } from '../pull/faces';
import { DOLLY, PULL_OFF } from '../pull/strength';
import { RowsField } from '../rows-field';
import { lengthSpec, percentSpec, SECONDS } from '../specs';

const SHALLOW = { ...lengthSpec(['0.001', '6'], ['0.1', '150']) } as const;

/** One plane that the face parted in. */
export class FaceRow extends RowInput {
  @ChoiceField({ label: 'Parted', required: true, options: PLANES, example: 'A/B' })
  plane?: Plane;

  @MeasureField({ label: 'Share', ...percentSpec('1', '100'), required: true, example: '100' })
  share?: string;
}

/** What is read of one dolly, from the tester on it to its face. */
export class PullOffInput extends RunInput {
  @EquipmentField({
    label: 'Tester',
    equipmentKind: 'pull-off tester',
    required: true,
    carry: true,
    example: 'TESTER-1',
  })
  tester?: string;

  @ChoiceField({
    label: 'Its dolly seat',
    required: true,
    carry: true,
    options: [
      { value: 'self', label: 'Aligns itself' },
      { value: 'fixed', label: 'Fixed: reads lower where the dolly is not square' },
    ],
    help: 'The two are never put together in one mean.',
    example: 'self',
  })
  seat?: 'self' | 'fixed';

  @MeasureField({
    label: 'Dolly, diameter',
    ...DOLLY,
    required: true,
    carry: true,
    help: 'As measured: 14 mm is often 14.2; 50 mm and 2 in differ by 3 % in area.',
    example: { US: '1.97', SI: '50' },
  })
  dolly?: string;

  @MeasureField({
    label: 'Core, diameter',
    ...DOLLY,
    help: 'Where it is cored: two, at right angles.',
    example: '',
  })
  core1?: string;

  @MeasureField({ label: 'Core, across it', ...DOLLY, example: '' })
  core2?: string;

  @MeasureField({
    label: 'Film, thickness',
    dimension: 'length',
    unit: { US: 'mil', SI: 'um' },
    step: { US: '0.1', SI: '1' },
    possible: { US: ['0', '2000'], SI: ['0', '50000'] },
    aside: true,
    help: 'Beside the dolly.',
    example: '',
  })
  film?: string;

  @ChoiceField({
    label: 'Cut round it',
    required: true,
    carry: true,
    options: [
      { value: 'through', label: 'Through the coating, down to what it lies on' },
      { value: 'no', label: 'Not cut' },
      {
        value: 'part',
        label: 'Not through all of it',
        means: {
          id: 'pull.cut-part',
          severity: 'invalid',
          message: 'What was not cut through carries beside the dolly: it reads high.',
          action: 'Cut another one through.',
        },
      },
      {
        value: 'off',
        label: 'Off the dolly by more than 1 mm',
        means: {
          id: 'pull.cut-off',
          severity: 'invalid',
          message: 'The area is not that of the dolly.',
          action: 'Another one, cutter and dolly of one size.',
        },
      },
    ],
    example: 'through',
  })
  cut?: 'through' | 'no' | 'part' | 'off';

  @MeasureField({
    label: 'Cut into the concrete',
    ...SHALLOW,
    help: 'A core: below the interface, or into the bare surface.',
    example: { US: '0.04', SI: '1' },
  })
  depth?: string;

  @CheckField({
    label: 'Dolly set on the tester, shown nought, pointer at nought',
    missed: {
      id: 'pull.not-zeroed',
      severity: 'departure',
      message: 'What it showed before the pull is in the reading.',
      action: 'Read what it shows unloaded, and type it as its zero.',
      remark: 'Tester not set to nought before the pull.',
    },
  })
  zeroed?: boolean;

  @MeasureField({
    label: 'Dolly set on the tester, diameter',
    ...DOLLY,
    aside: true,
    help: 'Only where another size was set than was pulled: it is put right.',
    example: '',
  })
  dollySet?: string;

  @ChoiceField({
    label: 'It shows',
    required: true,
    carry: true,
    options: [
      { value: 'stress', label: 'Stress' },
      { value: 'pressure', label: 'Pressure of its oil' },
      { value: 'force', label: 'Force' },
    ],
    example: 'stress',
  })
  shows?: 'stress' | 'pressure' | 'force';

  @MeasureField({
    label: 'Area of its ram',
    dimension: 'area',
    unit: { US: 'in2', SI: 'mm2' },
    step: { US: '0.001', SI: '1' },
    possible: { US: ['0.05', '20'], SI: ['30', '13000'] },
    carry: true,
    aside: true,
    help: 'Where it shows the pressure: by its certificate.',
    example: '',
  })
  ram?: string;

  @MeasureField({
    label: 'Greatest stress or pressure shown',
    ...PULL_OFF,
    help: 'The held peak, before anything is released.',
    example: { US: '318', SI: '2.2' },
  })
  shown?: string;

  @MeasureField({
    label: 'Greatest force shown',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'N' },
    step: { US: '5', SI: '20' },
    possible: { US: ['1', '50000'], SI: ['4', '220000'] },
    example: '',
  })
  force?: string;

  @MeasureField({
    label: 'Shown unloaded',
    ...PULL_OFF,
    possible: { US: ['0', '1000'], SI: ['0', '7'] },
    aside: true,
    help: 'Is taken off what was shown.',
    example: '',
  })
  zero?: string;

  @MeasureField({
    label: 'From start to break',
    ...SECONDS,
    help: 'Not needed with its record.',
    example: '18',
  })
  seconds?: string;

  @LogField({
    label: 'Record',
    aside: true,
    help: 'Two numbers a line: seconds, and stress in the unit of this test.',
    example: '',
  })
  trace?: string;

  @ChoiceField({
    label: 'It ended',
    required: true,
    options: [
      { value: 'broke', label: 'It broke' },
      { value: 'proof', label: 'Stopped at the stress asked for, unbroken' },
      { value: 'end', label: 'The tester was at its end, unbroken' },
    ],
    example: 'broke',
  })
  ended?: 'broke' | 'proof' | 'end';

  @RowsField({
    label: 'Face',
    row: 'plane',
    Row: FaceRow,
    help: 'Of both faces, with a lens and light from the side. The shares come to 100.',
    example: {
      US: [
        ['A', '70'],
        ['A/B', '30'],
      ],
      SI: [
        ['A', '70'],
        ['A/B', '30'],
      ],
    },
  })
  face?: FaceRow[];

  @TextField({
    label: 'Face as it was painted',
    aside: true,
    kept: true,
    help: 'Kept by the painter; empty where the shares were only typed.',
    example: '',
  })
  painted?: string;

  @MeasureField({
    label: 'Break into the concrete',
    ...SHALLOW,
    possible: { US: ['0', '1'], SI: ['0', '25'] },
    aside: true,
    help: 'At its deepest.',
    example: { US: '0.15', SI: '4' },
  })
  broken?: string;

  @ChoiceField({
    label: 'It came off',
    required: true,
    options: [
      { value: 'even', label: 'Even, over the whole face' },
      {
        value: 'side',
        label: 'One side first: tilted, or a bump under it',
        means: {
          id: 'pull.tilted',
          severity: 'invalid',
          message: 'It was peeled, not pulled.',
          action: 'Another one on a flat place, the feet of the tester flat.',
        },
      },
      { value: 'flap', label: 'The coating tore beyond the dolly' },
      {
        value: 'part-glued',
        label: 'The glue had not wetted all of it, or was soft',
        means: {
          id: 'pull.part-glued',
          severity: 'invalid',
          message: 'The area that held is not that of the dolly.',
          action: 'Another one; look at the mix, the cold and the clock of the glue.',
        },
      },
    ],
    example: 'even',
  })
  cameOff?: 'even' | 'side' | 'flap' | 'part-glued';

  @InstantField({ label: 'Pulled at', required: true, example: '2031-03-04T10:25:00-05:00' })
  pulledAt?: string;

  @TextField({ label: 'Dolly kept as', help: 'Bag and label.', aside: true, example: '' })
  kept?: string;

  @TextField({
    label: 'Made good with',
    help: 'Product and by whom; left open it is owed.',
    example: '',
  })
  repaired?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
