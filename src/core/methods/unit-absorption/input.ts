import { ChoiceField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { MASS } from '../mass-spec';
import { RowsField } from '../rows-field';
import { OVERALL, THIN, WebRow } from './sizes';

/** The readings of a unit that is soaked and dried: its sizes; its masses come from scale, tank and oven. */
export class UnitAbsorptionInput extends RunInput {
  @EquipmentField({ label: 'Calliper', equipmentKind: 'calliper', carry: true, example: 'CALLIPER-1' })
  calliper?: string;

  @ChoiceField({
    label: 'What it is',
    carry: true,
    required: true,
    options: [
      { value: 'full', label: 'Full unit' },
      { value: 'cut', label: 'Cut piece' },
    ],
    help: 'Moisture and equivalent thickness are those of full units only.',
    example: 'full',
  })
  piece?: 'full' | 'cut';

  @MeasureField({
    label: 'Mass after cutting',
    ...MASS,
    aside: true,
    help: 'Of a cut piece: at least a fifth of the unit’s received mass.',
    example: '',
  })
  cutMass?: string;

  @MeasureField({
    label: 'Width, top',
    ...OVERALL,
    help: 'At mid-length, across the bearing face.',
    example: { US: '7.62', SI: '193.6' },
  })
  width1?: string;

  @MeasureField({ label: 'Width, bottom', ...OVERALL, example: { US: '7.63', SI: '193.8' } })
  width2?: string;

  @MeasureField({
    label: 'Height, one face',
    ...OVERALL,
    help: 'At mid-length.',
    example: { US: '7.61', SI: '193.4' },
  })
  height1?: string;

  @MeasureField({ label: 'Height, face opposite', ...OVERALL, example: { US: '7.63', SI: '193.8' } })
  height2?: string;

  @MeasureField({
    label: 'Length, one face',
    ...OVERALL,
    help: 'At mid-height.',
    example: { US: '15.61', SI: '396.6' },
  })
  length1?: string;

  @MeasureField({ label: 'Length, face opposite', ...OVERALL, example: { US: '15.63', SI: '397.0' } })
  length2?: string;

  @MeasureField({
    label: 'Face shell, one side',
    ...THIN,
    help: 'At its thinnest, about 1/2 in [13 mm] below the top as it was made.',
    example: { US: '1.27', SI: '32.2' },
  })
  shell1?: string;

  @MeasureField({ label: 'Face shell, side opposite', ...THIN, example: { US: '1.29', SI: '32.8' } })
  shell2?: string;

  @RowsField({
    label: 'Webs',
    Row: WebRow,
    row: 'web',
    help: 'Each at its thinnest and at its lowest; grooves for sashes and dummy joints are left aside.',
    example: {
      US: [
        ['1.02', '7.62'],
        ['0.98', '7.62'],
        ['1.01', '7.62'],
      ],
      SI: [
        ['25.9', '193.5'],
        ['24.9', '193.5'],
        ['25.6', '193.5'],
      ],
    },
  })
  webs?: WebRow[];

  @InstantField({ label: 'Measured at', required: true, example: '2031-05-19T11:00:00-04:00' })
  measuredAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'A chip, a split face, an odd cell.', example: '' })
  remarks?: string;
}
