import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { ROOM_AIR, ROOM_HUMIDITY } from '../slab/room';
import { SERVICE, type Service } from '../slab/service';
import { countSpec, lengthSpec } from '../specs';

/** A dish with its lid, as a balance shows it, g in both systems. */
const DISH_MASS = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['1', '500'], SI: ['1', '500'] },
} as const;

/** What is read of one dish of calcium chloride, from the ground spot to the second weighing. */
export class SlabEmissionInput extends RunInput {
  @ChoiceField(SERVICE)
  service?: Service;

  @ChoiceField({
    label: 'Surface',
    required: true,
    carry: true,
    options: [
      { value: 'ground', label: 'Bare, lightly ground 20 × 20 in [0.5 × 0.5 m], vacuumed, no water' },
      {
        value: 'bare',
        label: 'Bare, not ground',
        means: {
          id: 'emission.not-ground',
          severity: 'invalid',
          message: 'The skin of a surface that was not ground holds the vapour back.',
          action: 'Grind it lightly, vacuum it, leave it bare for a day, and use a fresh kit.',
        },
      },
      {
        value: 'film',
        label: 'Something is left on it: sealer, curing film, glue',
        means: {
          id: 'emission.film',
          severity: 'invalid',
          message: 'A film is left on it: what goes through the film is measured, not the slab.',
          action:
            'Take it off without water or solvent, leave it bare for a day; or measure humidity in the slab.',
        },
      },
    ],
    example: 'ground',
  })
  surface?: 'ground' | 'bare' | 'film';

  @InstantField({ label: 'Bare since', required: true, carry: true, example: '2031-03-01T10:00:00-05:00' })
  bareAt?: string;

  @MeasureField({
    label: 'pH of the place',
    ...countSpec('0.1', '14'),
    help: 'Read before the dish is set.',
    example: '9',
  })
  pH?: string;

  @TextField({ label: 'Number of the kit', required: true, example: 'KIT-1' })
  kit?: string;

  @MeasureField({
    label: 'Cover, area inside',
    dimension: 'area',
    unit: { US: 'in2', SI: 'cm2' },
    step: { US: '0.1', SI: '1' },
    possible: { US: ['10', '500'], SI: ['60', '3200'] },
    required: true,
    carry: true,
    help: 'Of this kit, by its sheet.',
    example: { US: '72.5', SI: '468' },
  })
  cover?: string;

  @MeasureField({
    label: 'Dish, diameter outside',
    ...lengthSpec(['0.01', '10'], ['0.5', '250']),
    required: true,
    carry: true,
    example: { US: '2.8', SI: '71' },
  })
  dish?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @CheckField({
    label: 'It showed its weights right, before and after',
    carry: true,
    missed: {
      id: 'emission.balance',
      severity: 'departure',
      message: 'One tenth of a gram is as much as the verdict hangs on.',
      action: 'Check it with 20 g and 50 g before and after each session: within 0.1 g.',
      remark: 'Balance not checked with weights.',
    },
  })
  checked?: boolean;

  @MeasureField({
    label: 'Mass printed on it',
    ...DISH_MASS,
    help: 'Where the maker prints one.',
    example: '',
  })
  printed?: string;

  @MeasureField({
    label: 'Mass before',
    ...DISH_MASS,
    required: true,
    help: 'Sealed, lid on, no tape, here.',
    example: '33.4',
  })
  massBefore?: string;

  @InstantField({ label: 'Opened at', required: true, example: '2031-03-02T16:10:00-05:00' })
  openedAt?: string;

  @InstantField({ label: 'Closed at', required: true, example: '2031-03-05T09:40:00-05:00' })
  closedAt?: string;

  @ChoiceField({
    label: 'Found',
    required: true,
    options: [
      { value: 'whole', label: 'As it was left, tight all round' },
      {
        value: 'moved',
        label: 'Moved, kicked or spilled',
        means: {
          id: 'emission.moved',
          severity: 'invalid',
          message: 'It was disturbed.',
          action: 'A fresh kit on the same spot, with a box over it.',
        },
      },
      {
        value: 'torn',
        label: 'Cover torn, lifted or opened',
        means: {
          id: 'emission.torn',
          severity: 'invalid',
          message: 'Air of the room got under the cover.',
          action: 'A fresh kit on the same spot; press the flange down all round.',
        },
      },
      {
        value: 'liquid',
        label: 'Water in the dish',
        means: {
          id: 'emission.liquid',
          severity: 'invalid',
          message: 'The salt has run into water.',
          action: 'This slab is far too wet for a dish: measure humidity in it.',
        },
      },
      {
        value: 'dew',
        label: 'Dew under the cover',
        means: {
          id: 'emission.dew',
          severity: 'invalid',
          message: 'Dew under the cover is water that the dish does not hold.',
          action: 'Look for a cold slab or a hot room, and use a fresh kit.',
        },
      },
    ],
    example: 'whole',
  })
  found?: 'whole' | 'moved' | 'torn' | 'liquid' | 'dew';

  @CheckField({
    label: 'Its own lid on at once, no tape on either weighing',
    missed: {
      id: 'emission.lid',
      severity: 'invalid',
      message: 'A strip of tape weighs 0.1 to 0.3 g, another lid a gram.',
      action: 'A fresh kit. Its own lid on at once, weigh, and only then tape it.',
    },
  })
  lid?: boolean;

  @ChoiceField({
    label: 'Weighed again',
    options: [
      { value: 'here', label: 'Here, at once' },
      {
        value: 'sent',
        label: 'By another laboratory, sent there',
        means: {
          id: 'emission.sent',
          severity: 'departure',
          message: 'What the dish takes up on its way counts as the slab’s.',
          action: 'Lid taped all round; its days and how it came in are said with the result.',
          remark: 'Dish sent away and weighed by another laboratory.',
        },
      },
    ],
    carry: true,
    example: 'here',
  })
  weighed?: 'here' | 'sent';

  @MeasureField({
    label: 'Days on its way',
    ...countSpec('1', '60'),
    help: 'Where it was sent.',
    example: '',
  })
  daysSent?: string;

  @ChoiceField({
    label: 'It came in',
    options: [
      { value: 'whole', label: 'Lid on, tape whole' },
      {
        value: 'open',
        label: 'Tape or lid loose',
        means: {
          id: 'emission.came-open',
          severity: 'invalid',
          message: 'Air got to the salt on its way.',
          action: 'A fresh kit on the same spot, weighed here.',
        },
      },
    ],
    help: 'Where it was sent.',
    example: '',
  })
  cameIn?: 'whole' | 'open';

  @MeasureField({ label: 'Mass after', ...DISH_MASS, required: true, example: '34.9' })
  massAfter?: string;

  @MeasureField({
    ...ROOM_AIR,
    example: { US: '71', SI: '21.5' },
  })
  airTemperature?: string;

  @MeasureField({ ...ROOM_HUMIDITY, example: '47' })
  airHumidity?: string;

  @TextField({ label: 'Remarks', help: 'A dark or damp square under the cover, cracks.', example: '' })
  remarks?: string;
}
