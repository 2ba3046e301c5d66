import { ChoiceField, InstantField, MeasureField, RowInput, SpecimenField, TextField } from '../fields';
import { TEMPERATURE } from '../specs';

/** What a pot of molten sulfur mortar can be at. */
export const POT = {
  ...TEMPERATURE,
  possible: { US: ['32', '450'], SI: ['0', '232'] },
} as const;

/** One end of one specimen, capped at a moment. */
export class PourRow extends RowInput {
  @SpecimenField({ label: 'Specimen', required: true, example: '' })
  specimen?: string;

  @ChoiceField({
    label: 'End',
    required: true,
    options: [
      { value: '1', label: '1' },
      { value: '2', label: '2' },
    ],
    example: '',
  })
  end?: '1' | '2';

  @InstantField({
    label: 'At',
    required: true,
    stamps: true,
    also: { time: '', t_pour: '' },
    example: '',
  })
  at?: string;

  @MeasureField({ label: 'Pot', ...POT, also: { pot_f: 'degF', pot_c: 'degC' }, example: '' })
  pot?: string;

  @TextField({ label: 'Plate', also: { plate_id: '' }, example: '' })
  plate?: string;
}

const LOOK = {
  options: [
    { value: 'yes', label: 'plane' },
    { value: 'no', label: 'not' },
  ],
  required: true,
  example: '',
} as const;

/** The caps of one specimen under straightedge and feeler, on three diameters. */
export class PlaneRow extends RowInput {
  @SpecimenField({ label: 'Specimen', required: true, example: '' })
  specimen?: string;

  @ChoiceField({ label: 'Diameter 1', ...LOOK })
  first?: 'yes' | 'no';

  @ChoiceField({ label: 'Diameter 2', ...LOOK })
  second?: 'yes' | 'no';

  @ChoiceField({ label: 'Diameter 3', ...LOOK })
  third?: 'yes' | 'no';
}

const PIECE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.2' },
  possible: { US: ['0', '2'], SI: ['0', '50'] },
  example: '',
} as const;

/** The pieces of one specimen's top cap, as many as there are. */
export const PIECES = ['t1', 't2', 't3', 't4', 't5', 't6', 't7', 't8'] as const;

/** The top cap of one specimen, measured on its pieces after the test. */
export class ThicknessRow extends RowInput {
  @SpecimenField({ label: 'Specimen', required: true, example: '' })
  specimen?: string;

  @MeasureField({
    label: 'Strength as tested',
    required: true,
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['100', '40000'], SI: ['0.5', '300'] },
    example: '',
  })
  strength?: string;

  @MeasureField({ label: 'Piece 1', ...PIECE, required: true })
  t1?: string;
  @MeasureField({ label: '2', ...PIECE })
  t2?: string;
  @MeasureField({ label: '3', ...PIECE })
  t3?: string;
  @MeasureField({ label: '4', ...PIECE })
  t4?: string;
  @MeasureField({ label: '5', ...PIECE })
  t5?: string;
  @MeasureField({ label: '6', ...PIECE })
  t6?: string;
  @MeasureField({ label: '7', ...PIECE })
  t7?: string;
  @MeasureField({ label: '8', ...PIECE })
  t8?: string;
}
