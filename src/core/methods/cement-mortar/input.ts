import { CEMENT_BALANCE, GRAM, HUMIDITY, ROOM, WATER_TEMPERATURE } from '../cement/fields';
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
import { countSpec, SECONDS } from '../specs';

const ACROSS = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.5' },
  possible: { US: ['3.9', '10.1'], SI: ['99', '256'] },
} as const;

/** A batch of mortar with its flow. */
export class BatchRow extends RowInput {
  @InstantField({ label: 'Water met cement at', required: true, stamps: true, example: '' })
  contactAt?: string;

  @MeasureField({ label: 'Water', ...GRAM, required: true, also: { water_g: 'g' }, example: '' })
  water?: string;

  @MeasureField({ label: 'Lifted after', ...SECONDS, example: '' })
  lifted?: string;

  @MeasureField({ label: 'Drops', ...countSpec('1', '60'), required: true, example: '' })
  drops?: string;

  @MeasureField({ label: 'Across 1', ...ACROSS, required: true, example: '' })
  d1?: string;

  @MeasureField({ label: '2', ...ACROSS, required: true, example: '' })
  d2?: string;

  @MeasureField({ label: '3', ...ACROSS, required: true, example: '' })
  d3?: string;

  @MeasureField({ label: '4', ...ACROSS, required: true, example: '' })
  d4?: string;
}

/** The mortar of a cement: batches until its water is right, and the cubes that are made of the last one. */
export class CementMortarInput extends RunInput {
  @MeasureField({ ...ROOM, required: true })
  room?: string;

  @MeasureField(HUMIDITY)
  humidity?: string;

  @MeasureField({ ...WATER_TEMPERATURE, required: true })
  waterTemperature?: string;

  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @EquipmentField({ label: 'Flow table', equipmentKind: 'flow table', carry: true, example: 'FLOW-1' })
  table?: string;

  @TextField({
    label: 'Standard sand, its lot',
    required: true,
    help: 'The whole bag mixed: it parts in the bag. A new lot is tried beside the old one.',
    example: 'S-17',
  })
  sandLot?: string;

  @MeasureField({ label: 'Cubes', ...countSpec('1', '12'), required: true, example: '6' })
  cubes?: string;

  @MeasureField({ label: 'Cement', ...GRAM, required: true, example: '500.0' })
  cement?: string;

  @MeasureField({ label: 'Sand', ...GRAM, required: true, example: '1375.0' })
  sand?: string;

  @MeasureField({
    label: 'Inside base of the flow mould',
    ...ACROSS,
    aside: true,
    help: 'As measured; left open, that of the method.',
    example: '',
  })
  base?: string;

  @RowsField({
    label: 'Batches',
    row: 'batch',
    Row: BatchRow,
    required: true,
    help: 'Fresh mortar for each. Of portland cement the water is fixed and the flow is told; of every other the water is right when the flow is.',
    example: {
      US: [['2031-09-12T09:40:00-04:00', '242.5', '60', '25', '8.40', '8.44', '8.36', '8.40']],
      SI: [['2031-09-12T09:40:00-04:00', '242.5', '60', '25', '210', '211', '209', '210']],
    },
  })
  batches?: BatchRow[];

  @MeasureField({
    label: 'First tamped after the end of mixing',
    ...SECONDS,
    required: true,
    help: 'Of the batch that the cubes are made of.',
    example: '140',
  })
  tamped?: string;

  @ChoiceField({
    label: 'Tamped',
    required: true,
    options: [
      { value: 'right', label: 'Two layers, 32 strokes each in four rounds, cube by cube' },
      {
        value: 'otherwise',
        label: 'Otherwise',
        means: {
          id: 'cement-mortar.tamping',
          severity: 'departure',
          message: 'Too little leaves voids, too late leaves a seam between the layers.',
          action: 'Say how. Eight adjoining strokes a round, each round across the one before.',
          remark: 'Cubes not tamped as the method says.',
        },
      },
    ],
    example: 'right',
  })
  tamping?: 'right' | 'otherwise';

  @TextField({
    label: 'Moulds',
    help: 'Their numbers: one that is out of true is found by them.',
    example: 'M-3, M-4',
  })
  moulds?: string;

  @InstantField({ label: 'Into the cabinet at', required: true, example: '2031-09-12T09:52:00-04:00' })
  cabinetAt?: string;

  @InstantField({ label: 'Out of the moulds at', example: '2031-09-13T09:30:00-04:00' })
  strippedAt?: string;

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'A leaking mould, another mixer, who tamped.',
    example: '',
  })
  remarks?: string;
}
