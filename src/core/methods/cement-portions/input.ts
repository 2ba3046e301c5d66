import { GRAM } from '../cement/fields';
import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';

/** A part of the sample in a container of its own. */
export class PortionRow extends RowInput {
  @TextField({ label: 'Portion', required: true, help: 'As its label says.', example: '' })
  name?: string;

  @ChoiceField({
    label: 'For',
    required: true,
    options: [
      { value: 'tests', label: 'Our tests' },
      { value: 'reserve', label: 'Reserve, sealed' },
      { value: 'split', label: 'Another laboratory' },
    ],
    example: '',
  })
  use?: 'tests' | 'reserve' | 'split';

  @MeasureField({ label: 'Filled with', ...GRAM, required: true, example: '' })
  mass?: string;

  @TextField({ label: 'Where', example: '' })
  place?: string;
}

/** What was taken out of a portion. */
export class TakenRow extends RowInput {
  @TextField({ label: 'Portion', required: true, example: '' })
  name?: string;

  @MeasureField({ label: 'Taken', ...GRAM, required: true, example: '' })
  mass?: string;

  @TextField({ label: 'For', help: 'Setting, cubes, a split.', example: '' })
  purpose?: string;

  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;
}

const PORTIONS = [
  ['A', 'tests', '3000', 'Cabinet 2'],
  ['R', 'reserve', '2300', 'Cabinet 2'],
];
const TAKEN = [
  ['A', '650', 'consistency', '2031-09-12T09:00:00-04:00'],
  ['A', '650', 'setting', '2031-09-12T10:00:00-04:00'],
];

/** The portions of a sample with what is left of each. */
export class CementPortionsInput extends RunInput {
  @RowsField({
    label: 'Portions',
    row: 'portion',
    Row: PortionRow,
    required: true,
    help: 'Airtight, filled to the top: air in a jar ages a cement.',
    example: { US: PORTIONS, SI: PORTIONS },
  })
  portions?: PortionRow[];

  @RowsField({
    label: 'Taken out',
    row: 'taking',
    Row: TakenRow,
    help: 'Each time, before the lid is closed again.',
    example: { US: TAKEN, SI: TAKEN },
  })
  taken?: TakenRow[];

  @InstantField({
    label: 'Discarded at',
    required: true,
    help: 'When its last portion is gone.',
    example: '2031-12-20T09:00:00-05:00',
  })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
