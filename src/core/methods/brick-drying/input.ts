import { GRAMS } from '../brick/grams';
import { HOTTEST, ODD, OVEN_LOG, OVEN_USED, TEMPERATURE, WEIGHINGS } from '../drying/field-specs';
import { type DryingRow, OvenRow } from '../drying/rows';
import {
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  SpecimenField,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';

/** One brick or half on the balance while it dries. */
export class GramRow extends RowInput implements DryingRow {
  @SpecimenField({ label: 'Brick', required: true, example: '' })
  specimen?: string;

  @MeasureField({ label: 'Mass', ...GRAMS, required: true, also: { dry: '', wd: '' }, example: '' })
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '', timestamp: '' }, example: '' })
  at?: string;
}

/** The readings of bricks that are dried and cooled. */
export class BrickDryingInput extends RunInput {
  @EquipmentField(OVEN_USED)
  oven?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @MeasureField({
    ...TEMPERATURE,
    held: {
      limit: 'brick.oven',
      severity: 'departure',
      what: 'The oven is at',
      action: 'Brick is dried a little hotter than block: set it right and note it.',
    },
    example: { US: '235', SI: '112' },
  })
  temperature?: string;

  @MeasureField({
    ...HOTTEST,
    held: {
      limit: 'oven.stop',
      severity: 'departure',
      needsReason: true,
      what: 'The oven reached',
      action: 'Fired clay bears it; say why it got so hot.',
    },
  })
  hottest?: string;

  @InstantField({ label: 'In the oven at', required: true, example: '2031-05-20T09:00:00-04:00' })
  inAt?: string;

  @RowsField({
    ...WEIGHINGS,
    Row: GramRow,
    example: {
      US: [
        ['EXAMPLE-B1A', '911.2', '2031-05-21T09:05:00-04:00'],
        ['EXAMPLE-B1A', '910.5', '2031-05-21T11:05:00-04:00'],
        ['EXAMPLE-B2A', '917.9', '2031-05-21T09:07:00-04:00'],
        ['EXAMPLE-B2A', '917.2', '2031-05-21T11:07:00-04:00'],
      ],
      SI: [
        ['EXAMPLE-B1A', '911.2', '2031-05-21T09:05:00-04:00'],
        ['EXAMPLE-B1A', '910.5', '2031-05-21T11:05:00-04:00'],
        ['EXAMPLE-B2A', '917.9', '2031-05-21T09:07:00-04:00'],
        ['EXAMPLE-B2A', '917.2', '2031-05-21T11:07:00-04:00'],
      ],
    },
  })
  weighings?: GramRow[];

  @RowsField({
    ...OVEN_LOG,
    Row: OvenRow,
    example: {
      US: [
        ['2031-05-20T14:00:00-04:00', '234'],
        ['2031-05-21T06:00:00-04:00', '236'],
      ],
      SI: [
        ['2031-05-20T14:00:00-04:00', '111'],
        ['2031-05-21T06:00:00-04:00', '113'],
      ],
    },
  })
  log?: OvenRow[];

  @InstantField({ label: 'All dry at', required: true, example: '2031-05-21T11:15:00-04:00' })
  dryAt?: string;

  @ChoiceField({
    label: 'Cooled',
    required: true,
    options: [
      { value: 'room', label: 'Unstacked in the room, no draught' },
      { value: 'fan', label: 'Before a fan' },
    ],
    example: 'room',
  })
  cooling?: 'room' | 'fan';

  @InstantField({
    label: 'Cool at',
    required: true,
    help: 'The surface within 5 °F [3 °C] of the room.',
    example: '2031-05-21T15:30:00-04:00',
  })
  cooledAt?: string;

  @TextField(ODD)
  remarks?: string;
}
