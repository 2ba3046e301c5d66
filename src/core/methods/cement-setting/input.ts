import { CABINET, CEMENT_BALANCE, DEPTH, GRAM, ROOM, VICAT, WATER_TEMPERATURE } from '../cement/fields';
import {
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { SECONDS } from '../specs';

const PLACE = {
  dimension: 'length',
  unit: { US: 'mm', SI: 'mm' },
  step: { US: '0.01', SI: '0.01' },
  possible: { US: ['-40', '40'], SI: ['-40', '40'] },
} as const;

/** When a fall of the example was, by minutes and seconds since the water met the cement. */
const at = (minutes: number, seconds = 0): string =>
  new Date(Date.UTC(2031, 8, 12, 12, 12 + minutes, seconds)).toISOString();

/** A cement that sets about as most do: 40 mm at first, no circle after four hours. */
const FALLS = (
  [
    [at(37), '40', '', '0', '0'],
    [at(82), '38', '', '6.35', '0'],
    [at(97), '34', '', '3.18', '5.5'],
    [at(112), '28', '', '-3.18', '5.5'],
    [at(127), '19', '', '-6.35', '0'],
    [at(142), '11', '', '-3.18', '-5.5'],
    [at(217), '1', 'whole', '3.18', '-5.5'],
    [at(232), '0', 'none', '9.53', '5.5'],
    [at(232, 40), '0', 'none', '0', '11'],
    [at(233, 15), '0', 'none', '-9.53', '5.5'],
  ] as const
).map(([when, depth, circle, x, y]) => [when, depth, circle, 'nothing', '30', x, y]);

/** A fall of the needle. */
export class FallRow extends RowInput {
  @InstantField({ label: 'Released at', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;

  @MeasureField({
    label: 'Went in',
    ...DEPTH,
    required: true,
    also: { depth_mm: 'mm', mm: 'mm' },
    example: '',
  })
  depth?: string;

  @ChoiceField({
    label: 'Circle',
    options: [
      { value: 'whole', label: 'A whole circle' },
      { value: 'part', label: 'Part of one' },
      { value: 'none', label: 'No whole circle' },
    ],
    example: '',
  })
  circle?: 'whole' | 'part' | 'none';

  @ChoiceField({
    label: 'What was wrong',
    options: [
      { value: 'nothing', label: 'Nothing' },
      { value: 'slowed', label: 'Slowed by the fingers' },
      { value: 'dirty', label: 'Paste on the needle' },
      { value: 'bent', label: 'Needle bent' },
      { value: 'jolt', label: 'Moved, or a jolt' },
    ],
    example: '',
  })
  wrong?: 'nothing' | 'slowed' | 'dirty' | 'bent' | 'jolt';

  @MeasureField({ label: 'Read after', ...SECONDS, example: '' })
  settled?: string;

  @MeasureField({ label: 'Place: to the right', ...PLACE, also: { x_mm: 'mm' }, example: '' })
  x?: string;

  @MeasureField({ label: 'Place: up', ...PLACE, also: { y_mm: 'mm' }, example: '' })
  y?: string;
}

/** A ring of paste, from the contact of water and cement to the fall that leaves no circle. */
export class CementSettingInput extends RunInput {
  @MeasureField({ ...ROOM, required: true })
  room?: string;

  @MeasureField({ ...WATER_TEMPERATURE, required: true })
  waterTemperature?: string;

  @MeasureField(CABINET)
  cabinet?: string;

  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @EquipmentField(VICAT)
  vicat?: string;

  @MeasureField({
    label: 'Cement',
    ...GRAM,
    required: true,
    held: {
      limit: 'consistency.cement',
      severity: 'departure',
      what: 'The cement weighs',
      action: 'Weigh it again: the ring and the mixer want just so much.',
    },
    example: '650.0',
  })
  cement?: string;

  @MeasureField({
    label: 'Water',
    ...GRAM,
    required: true,
    help: 'As the plan says, by the consistency.',
    example: '175.5',
  })
  water?: string;

  @ChoiceField({
    label: 'Paste',
    options: [
      { value: 'fresh', label: 'Fresh for this ring' },
      { value: 'rest', label: 'What was left of the paste of the consistency' },
    ],
    help: 'Of what was left, the clock is that of its own water.',
    example: 'fresh',
  })
  paste?: 'fresh' | 'rest';

  @InstantField({
    label: 'Water met cement at',
    required: true,
    help: 'Every time counts from here: never from the end of mixing.',
    example: '2031-09-12T08:12:00-04:00',
  })
  contactAt?: string;

  @InstantField({ label: 'Moulded at', required: true, example: '2031-09-12T08:19:00-04:00' })
  mouldedAt?: string;

  @RowsField({
    label: 'Falls of the needle',
    row: 'fall',
    Row: FallRow,
    required: true,
    help: 'Lowered to touch, released, read 30 s later. Wiped clean each time. Time and depth from a file of an automatic needle too.',
    example: {
      US: FALLS,
      SI: FALLS,
    },
  })
  falls?: FallRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T12:10:00-04:00' })
  finishedAt?: string;

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'Left out of the cabinet, skin on the paste.',
    example: '',
  })
  remarks?: string;
}
