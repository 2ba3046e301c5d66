import { ChoiceField, InstantField, MeasureField, RowInput, SpecimenField, TextField } from '../fields';
import { TEMPERATURE } from '../specs';

/** What a pot of molten sulfur mortar can be at. */
export const POT = {
  ...TEMPERATURE,
  possible: { US: ['32', '450'], SI: ['0', '232'] },
} as const;

/** A mass that is weighed out for a mix. */
const GRAMS = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '1', SI: '1' },
  possible: { US: ['1', '20000'], SI: ['1', '20000'] },
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
    also: { time: '', t_pour: '', placed: '' },
    example: '',
  })
  at?: string;

  @MeasureField({ label: 'Pot', ...POT, also: { pot_f: 'degF', pot_c: 'degC' }, example: '' })
  pot?: string;

  @TextField({ label: 'Plate', also: { plate_id: '' }, example: '' })
  plate?: string;

  @InstantField({ label: 'Lifted', example: '' })
  lifted?: string;
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

/** One mix of gypsum. */
export class MixRow extends RowInput {
  @MeasureField({ label: 'Gypsum', ...GRAMS, required: true, example: '' })
  gypsum?: string;

  @MeasureField({ label: 'Water', ...GRAMS, required: true, example: '' })
  water?: string;

  @InstantField({ label: 'Water in at', required: true, stamps: true, also: { time: '' }, example: '' })
  at?: string;
}

/** One cap of a masonry unit, looked at before the break. */
export class LookRow extends RowInput {
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

  @MeasureField({
    label: 'Mean thickness',
    ...PIECE,
    required: true,
    also: { thickness_in: 'in', thickness_mm: 'mm' },
  })
  thickness?: string;

  @ChoiceField({
    label: 'Looks',
    required: true,
    options: [
      { value: 'sound', label: 'plane, full, sound' },
      { value: 'not plane', label: 'not plane' },
      { value: 'hollow', label: 'hollow or cracked' },
      { value: 'open', label: 'not full to the edge' },
      { value: 'tilted', label: 'tilted' },
      { value: 'patched', label: 'patched' },
    ],
    example: '',
  })
  look?: 'sound' | 'not plane' | 'hollow' | 'open' | 'tilted' | 'patched';
}
