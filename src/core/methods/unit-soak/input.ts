import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  SpecimenField,
  TextField,
} from '../fields';
import { MASS } from '../mass-spec';
import { RowsField } from '../rows-field';

/** One unit out of the tank: under water on the balance, then drained, wiped and weighed. */
export class SoakRow extends RowInput {
  @SpecimenField({ label: 'Unit', required: true, example: '' })
  specimen?: string;

  @MeasureField({ label: 'Immersed', ...MASS, required: true, also: { wi: '' }, example: '' })
  immersed?: string;

  @MeasureField({
    label: 'Drained',
    dimension: 'duration',
    unit: { US: 's', SI: 's' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '3600'], SI: ['1', '3600'] },
    example: '',
  })
  drained?: string;

  @MeasureField({ label: 'Saturated', ...MASS, required: true, also: { ws: '' }, example: '' })
  saturated?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** The readings of units in the tank. */
export class UnitSoakInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @InstantField({ label: 'Under water at', required: true, example: '2031-05-20T10:00:00-04:00' })
  inAt?: string;

  @MeasureField({
    label: 'Water',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['32', '120'], SI: ['0', '49'] },
    required: true,
    held: {
      limit: 'soak.water',
      severity: 'departure',
      what: 'The water is at',
      action: 'Bring it into its range; after longer than an hour outside dry the units and soak them again.',
    },
    example: { US: '71', SI: '21.5' },
  })
  water?: string;

  @ChoiceField({
    label: 'How they lie',
    required: true,
    options: [
      { value: 'apart', label: 'Apart, off the bottom, 6 in [150 mm] of water above' },
      {
        value: 'crowded',
        label: 'Touching, or too near the surface',
        means: {
          id: 'soak.crowded',
          severity: 'departure',
          message: 'Units that touch, or lie near the surface, take up water unevenly.',
          action: 'Set them apart on wire, deeper; the clock begins anew.',
          remark: 'Units not free in the tank.',
        },
      },
    ],
    example: 'apart',
  })
  lies?: 'apart' | 'crowded';

  @CheckField({
    label: 'Hanger tared under water, at the depth of the weighing',
    missed: {
      id: 'soak.tare',
      severity: 'invalid',
      message: 'Without the tare of the hanger the immersed mass is not the unit’s.',
      action: 'Hang the empty hanger at the same depth, set zero, weigh again.',
    },
  })
  tared?: boolean;

  @InstantField({ label: 'First out of the water at', required: true, example: '2031-05-21T10:05:00-04:00' })
  outAt?: string;

  @RowsField({
    label: 'Units',
    Row: SoakRow,
    row: 'unit',
    required: true,
    help: 'One at a time, each out of the water only for its own minute.',
    example: {
      US: [['EXAMPLE-A', '17.06', '60', '34.32', '2031-05-21T10:08:00-04:00']],
      SI: [['EXAMPLE-A', '7.740', '60', '15.565', '2031-05-21T10:08:00-04:00']],
    },
  })
  units?: SoakRow[];

  @InstantField({ label: 'All weighed at', required: true, example: '2031-05-21T10:15:00-04:00' })
  weighedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Bubbles in a cell, a unit that touched.', example: '' })
  remarks?: string;
}
