import { BRICK_SIZE, GRAMS } from '../brick/grams';
import { ChoiceField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { SECONDS } from '../specs';

/** The readings of a brick that stands in a tray of water for a minute. */
export class BrickSuctionInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @ChoiceField({
    label: 'Brought as',
    carry: true,
    required: true,
    options: [
      { value: 'oven', label: 'Oven-dried and cooled' },
      { value: 'received', label: 'As received' },
    ],
    help: 'It stands in the report: the two are not comparable.',
    example: 'oven',
  })
  state?: 'oven' | 'received';

  @MeasureField({
    label: 'Length of its bed',
    ...BRICK_SIZE,
    required: true,
    example: { US: '7.62', SI: '193.5' },
  })
  length?: string;

  @MeasureField({
    label: 'Width of its bed',
    ...BRICK_SIZE,
    required: true,
    example: { US: '3.60', SI: '91.4' },
  })
  width?: string;

  @MeasureField({
    label: 'Cores in its bed',
    dimension: 'area',
    unit: { US: 'in2', SI: 'mm2' },
    step: { US: '0.01', SI: '10' },
    possible: { US: ['0', '60'], SI: ['0', '40000'] },
    aside: true,
    help: 'All of them: no water is drawn up there.',
    example: '',
  })
  cores?: string;

  @MeasureField({
    label: 'Water over the supports',
    carry: true,
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.005', SI: '0.1' },
    possible: { US: ['0', '2'], SI: ['0', '50'] },
    required: true,
    held: {
      limit: 'brick.suction-depth',
      severity: 'departure',
      needsReason: true,
      what: 'The water stands',
      action: 'Level the tray and set the water anew; repeat it with a dry brick.',
    },
    example: { US: '0.125', SI: '3.2' },
  })
  depth?: string;

  @MeasureField({
    label: 'Water',
    carry: true,
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['32', '120'], SI: ['0', '49'] },
    held: {
      limit: 'brick.suction-water',
      severity: 'departure',
      what: 'The water is at',
      action: 'Bring it into its range.',
    },
    example: { US: '71', SI: '21.5' },
  })
  water?: string;

  @MeasureField({ label: 'Before', ...GRAMS, required: true, also: { w1: '' }, example: '1812.4' })
  before?: string;

  @MeasureField({
    label: 'In the water',
    ...SECONDS,
    required: true,
    held: {
      limit: 'brick.suction-time',
      severity: 'invalid',
      what: 'It stood in the water for',
      action: 'Repeat it with another brick, or dry this one again: a minute to the second.',
    },
    example: '60',
  })
  contact?: string;

  @MeasureField({ label: 'After', ...GRAMS, required: true, also: { w2: '' }, example: '1832.9' })
  after?: string;

  @MeasureField({
    label: 'To the balance',
    ...SECONDS,
    aside: true,
    help: 'From the tray, wiped.',
    held: {
      limit: 'brick.suction-weigh',
      severity: 'departure',
      needsReason: true,
      what: 'It came to the balance after',
      action: 'Within two minutes: repeat it.',
    },
    example: '30',
  })
  toBalance?: string;

  @InstantField({ label: 'Tested at', required: true, example: '2031-05-22T11:00:00-04:00' })
  testedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'What was odd.', example: '' })
  remarks?: string;
}
