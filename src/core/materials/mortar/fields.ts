import { CheckField, ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';

const PARTS = {
  dimension: 'ratio',
  unit: { US: 'one', SI: 'one' },
  step: { US: '0.01', SI: '0.01' },
  possible: { US: ['0', '15'], SI: ['0', '15'] },
} as const;

/** What is asked of masonry mortar. */
export class Asked extends RunInput {
  @ChoiceField({
    label: 'Type',
    required: true,
    options: ['M', 'S', 'N', 'O'].map((value) => ({ value, label: `Type ${value}` })),
    example: 'S',
  })
  mortarType?: 'M' | 'S' | 'N' | 'O';

  @ChoiceField({
    label: 'Specified by',
    required: true,
    options: [
      { value: 'property', label: 'Properties: strength, retention, air of a laboratory mix' },
      { value: 'proportion', label: 'Proportions: no strength is asked for' },
    ],
    example: 'property',
  })
  mortarBy?: 'property' | 'proportion';

  @ChoiceField({
    label: 'Cement',
    required: true,
    options: [
      { value: 'lime', label: 'Cement and lime' },
      { value: 'mortar', label: 'Mortar cement' },
      { value: 'masonry', label: 'Masonry cement' },
    ],
    example: 'lime',
  })
  mortarCement?: 'lime' | 'mortar' | 'masonry';

  @CheckField({ label: 'Steel in the joints' })
  jointSteel?: boolean;

  @MeasureField({ label: 'Parts of cement', ...PARTS, required: true, help: 'By volume.', example: '1' })
  partsCement?: string;

  @MeasureField({
    label: 'Parts of lime',
    ...PARTS,
    help: 'Hydrated lime; nothing for mortar or masonry cement.',
    example: '0.5',
  })
  partsLime?: string;

  @MeasureField({
    label: 'Parts of sand',
    ...PARTS,
    required: true,
    help: 'Damp and loose.',
    example: '4.25',
  })
  partsSand?: string;

  @TextField({ label: 'Edition', required: true, help: 'With its year.', example: '2019' })
  edition?: string;
}

/** What is known of mortar that is mixed for a wall, or in the laboratory. */
export class Lot extends RunInput {
  @TextField({
    label: 'Wall or part',
    required: true,
    help: 'Or: trial mix in the laboratory.',
    example: 'plant room, grid 3 to 6',
  })
  wall?: string;

  @TextField({ label: 'Materials', help: 'Brands are not needed: kinds, plants, pits.', example: '' })
  materials?: string;
}

/** What a sample of mortar is for. */
export class Taken extends RunInput {
  @ChoiceField({
    label: 'Made for',
    required: true,
    options: [
      { value: 'laboratory', label: 'Properties: mixed in the laboratory' },
      { value: 'field', label: 'Uniformity: taken on site' },
    ],
    help: 'Mortar of the wall is wetter, and never held against the properties of a laboratory mix.',
    example: 'laboratory',
  })
  purpose?: 'laboratory' | 'field';
}
