import { GRAM, ROOM } from '../cement/fields';
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

/** The three ages and more that prisms are broken at, hours. */
export const AGES = [
  { value: '24', label: '1 day' },
  { value: '48', label: '2 days' },
  { value: '72', label: '3 days' },
  { value: '168', label: '7 days' },
  { value: '672', label: '28 days' },
] as const;

/** A prism that is bent. */
export class BentRow extends RowInput {
  @TextField({ label: 'Prism', required: true, example: '' })
  mark?: string;

  @MeasureField({
    label: 'Load',
    dimension: 'force',
    unit: { US: 'N', SI: 'N' },
    step: { US: '1', SI: '1' },
    possible: { US: ['0', '20000'], SI: ['0', '20000'] },
    required: true,
    example: '',
  })
  load?: string;
}

/** A half that is crushed. */
export class HalfRow extends RowInput {
  @TextField({ label: 'Half', required: true, example: '' })
  mark?: string;

  @MeasureField({
    label: 'Load',
    dimension: 'force',
    unit: { US: 'kN', SI: 'kN' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['0', '400'], SI: ['0', '400'] },
    required: true,
    example: '',
  })
  load?: string;
}

/** Three prisms of one age, bent and their halves crushed. */
export class CementPrismsInput extends RunInput {
  @MeasureField(ROOM)
  room?: string;

  @MeasureField({
    label: 'Cement',
    ...GRAM,
    required: true,
    held: {
      limit: 'prisms.cement',
      severity: 'departure',
      what: 'The cement weighs',
      action: 'Another batch: 450 g.',
    },
    example: '450.0',
  })
  cement?: string;

  @MeasureField({
    label: 'Sand, one bag',
    ...GRAM,
    required: true,
    held: {
      limit: 'prisms.sand',
      severity: 'departure',
      what: 'The sand weighs',
      action: 'A whole bag, and no other.',
    },
    example: '1350',
  })
  sand?: string;

  @TextField({ label: 'Its lot', rare: true, help: 'Of the bags of sand.', example: '' })
  sandLot?: string;

  @MeasureField({
    label: 'Water',
    ...GRAM,
    required: true,
    held: {
      limit: 'prisms.water',
      severity: 'departure',
      what: 'The water weighs',
      action: 'Another batch: 225 g.',
    },
    example: '225.0',
  })
  water?: string;

  @InstantField({ label: 'Water met cement at', required: true, example: '2031-09-12T09:40:00-04:00' })
  contactAt?: string;

  @ChoiceField({ label: 'Age', options: AGES, required: true, example: '48' })
  age?: (typeof AGES)[number]['value'];

  @EquipmentField({
    label: 'Testing machine',
    equipmentKind: 'compression machine',
    carry: true,
    example: 'PRESS-1',
  })
  machine?: string;

  @RowsField({
    label: 'Bent',
    row: 'prism',
    Row: BentRow,
    help: 'A moulded side down, 50 N/s. A prism that is bent wrongly still has two halves.',
    example: {
      US: [
        ['1', '2850'],
        ['2', '2790'],
        ['3', '2910'],
      ],
      SI: [
        ['1', '2850'],
        ['2', '2790'],
        ['3', '2910'],
      ],
    },
  })
  bent?: BentRow[];

  @RowsField({
    label: 'Crushed',
    row: 'half',
    Row: HalfRow,
    required: true,
    help: 'Six halves on plates of 40 by 40 mm, moulded sides, 2,400 N/s.',
    example: {
      US: [
        ['1a', '44.1'],
        ['1b', '45.6'],
        ['2a', '46.3'],
        ['2b', '43.9'],
        ['3a', '47.2'],
        ['3b', '45.0'],
      ],
      SI: [
        ['1a', '44.1'],
        ['1b', '45.6'],
        ['2a', '46.3'],
        ['2b', '43.9'],
        ['3a', '47.2'],
        ['3b', '45.0'],
      ],
    },
  })
  halves?: HalfRow[];

  @InstantField({ label: 'Tested at', required: true, example: '2031-09-14T09:45:00-04:00' })
  testedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
