import { HOTTEST, ODD, OVEN, OVEN_LOG, OVEN_USED } from '../drying/field-specs';
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
import { DRIED, TIN, WEIGHED_OUT } from '../rock-water/input';
import { RowsField } from '../rows-field';

/** A tin with the pieces of one specimen, before it goes into the oven. */
export class FilledTin extends RowInput {
  @SpecimenField({ label: 'Pieces of', required: true, example: '' })
  specimen?: string;

  @TextField({ ...TIN.number, example: '' })
  tin?: string;

  @MeasureField({ ...TIN.empty, required: true, example: '' })
  tinMass?: string;

  @MeasureField({ ...TIN.wet, required: true, example: '' })
  wetMass?: string;

  @InstantField({ label: 'Weighed wet at', required: true, stamps: true, example: '' })
  wetAt?: string;
}

/** A tin out of the oven. */
export class TinOut extends RowInput implements DryingRow {
  @SpecimenField({ label: 'Pieces of', required: true, example: '' })
  specimen?: string;

  @MeasureField(TIN.out)
  mass?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** The readings of several tins of rock in one oven. */
export class RockDryingInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @RowsField({
    label: 'Tins',
    row: 'tin',
    Row: FilledTin,
    required: true,
    help: 'One for each specimen: weighed empty, then with its pieces at once after the test.',
    example: {
      US: [
        ['EXAMPLE-L1', 'T-14', '118.4', '746.2', '2031-06-11T09:30:00-04:00'],
        ['EXAMPLE-L2', 'T-15', '121.0', '802.7', '2031-06-11T09:34:00-04:00'],
      ],
      SI: [
        ['EXAMPLE-L1', 'T-14', '118.4', '746.2', '2031-06-11T09:30:00-04:00'],
        ['EXAMPLE-L2', 'T-15', '121.0', '802.7', '2031-06-11T09:34:00-04:00'],
      ],
    },
  })
  tins?: FilledTin[];

  @EquipmentField(OVEN_USED)
  oven?: string;

  @ChoiceField({ ...DRIED, required: true })
  dried?: 'usual' | 'gentle';

  @MeasureField({ ...OVEN, label: 'Oven temperature', required: true, example: { US: '230', SI: '110' } })
  temperature?: string;

  @MeasureField(HOTTEST)
  hottest?: string;

  @InstantField({ label: 'In the oven at', required: true, example: '2031-06-11T09:40:00-04:00' })
  inAt?: string;

  @RowsField({
    ...WEIGHED_OUT,
    Row: TinOut,
    required: true,
    example: {
      US: [
        ['EXAMPLE-L1', '731.5', '2031-06-12T08:30:00-04:00'],
        ['EXAMPLE-L1', '731.2', '2031-06-12T10:00:00-04:00'],
        ['EXAMPLE-L2', '785.9', '2031-06-12T08:33:00-04:00'],
        ['EXAMPLE-L2', '785.6', '2031-06-12T10:03:00-04:00'],
      ],
      SI: [
        ['EXAMPLE-L1', '731.5', '2031-06-12T08:30:00-04:00'],
        ['EXAMPLE-L1', '731.2', '2031-06-12T10:00:00-04:00'],
        ['EXAMPLE-L2', '785.9', '2031-06-12T08:33:00-04:00'],
        ['EXAMPLE-L2', '785.6', '2031-06-12T10:03:00-04:00'],
      ],
    },
  })
  weighings?: TinOut[];

  @RowsField({ ...OVEN_LOG, Row: OvenRow, example: { US: [], SI: [] } })
  log?: OvenRow[];

  @InstantField({ label: 'All dry at', required: true, example: '2031-06-12T10:10:00-04:00' })
  dryAt?: string;

  @TextField(ODD)
  remarks?: string;
}
