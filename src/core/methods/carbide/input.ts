import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { ROOM_AIR } from '../slab/room';

/** Portions that the gauge of a bottle is used with, g. */
export const PORTIONS = [
  { value: '100', label: '100 g, dry' },
  { value: '50', label: '50 g' },
  { value: '20', label: '20 g, wet' },
] as const;
export type Portion = (typeof PORTIONS)[number]['value'];

/** What is read of a crushed sample of screed in a bottle with carbide. */
export class CarbideInput extends RunInput {
  @ChoiceField({
    label: 'Taken from',
    required: true,
    carry: true,
    options: [
      { value: 'whole', label: 'The whole depth' },
      { value: 'lower', label: 'The lower half' },
      {
        value: 'top',
        label: 'The surface only',
        means: {
          id: 'carbide.top',
          severity: 'invalid',
          message: 'The surface dries first: it says nothing of what lies below.',
          action: 'Take it from the whole depth, or from the lower half.',
        },
      },
    ],
    help: 'By the rule of the country.',
    example: 'whole',
  })
  from?: 'whole' | 'lower' | 'top';

  @CheckField({
    label: 'Crushed and weighed at once, in a closed dish, out of sun and wind',
    missed: {
      id: 'carbide.slow',
      severity: 'departure',
      message: 'It dries while it lies open: it reads low.',
      action: 'Take another sample beside it, and be quick.',
      remark: 'Sample lay open before it was weighed.',
    },
  })
  quick?: boolean;

  @EquipmentField({
    label: 'Balance',
    equipmentKind: 'balance',
    required: true,
    carry: true,
    example: 'BALANCE-1',
  })
  balance?: string;

  @EquipmentField({
    label: 'Bottle',
    equipmentKind: 'carbide bottle',
    required: true,
    carry: true,
    help: 'Its gauge is verified, its seal whole.',
    example: 'BOTTLE-1',
  })
  bottle?: string;

  @ChoiceField({
    label: 'Portion',
    options: PORTIONS,
    required: true,
    carry: true,
    help: 'The less, the wetter it is expected.',
    example: '50',
  })
  portion?: Portion;

  @MeasureField({
    label: 'Weighed',
    dimension: 'mass',
    unit: { US: 'g', SI: 'g' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['5', '150'], SI: ['5', '150'] },
    required: true,
    example: '50.0',
  })
  mass?: string;

  @InstantField({ label: 'Closed and shaken at', required: true, example: '2031-03-03T10:00:00-05:00' })
  startedAt?: string;

  @CheckField({
    label: 'Steel balls and a whole ampoule in it; shaken as its sheet says; the gauge did not fall',
    missed: {
      id: 'carbide.leak',
      severity: 'invalid',
      message: 'Gas got out of it, or the carbide did not reach the sample.',
      action: 'Open it outdoors, look at its seal, and take another sample.',
    },
  })
  tight?: boolean;

  @MeasureField({
    label: 'Gauge',
    dimension: 'stress',
    unit: { US: 'bar', SI: 'bar' },
    step: { US: '0.01', SI: '0.01' },
    possible: { US: ['0', '4'], SI: ['0', '4'] },
    required: true,
    help: 'Ten minutes after it was closed.',
    example: '0.85',
  })
  pressure?: string;

  @InstantField({ label: 'Read at', required: true, example: '2031-03-03T10:10:00-05:00' })
  readAt?: string;

  @MeasureField({
    ...ROOM_AIR,
    example: { US: '68', SI: '20' },
  })
  airTemperature?: string;

  @TextField({ label: 'Remarks', help: 'What the powder looked like when it was poured out.', example: '' })
  remarks?: string;
}
