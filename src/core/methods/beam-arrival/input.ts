import {
  CheckField,
  ChoiceField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { lengthSpec } from '../specs';

export const FACES = {
  top: 'Trowelled top',
  front: 'Side with the mark',
  bottom: 'Bottom of the mould',
  back: 'Other side',
} as const;
export type Face = keyof typeof FACES;
export const SEEN = {
  void: 'Void',
  honeycomb: 'Honeycomb',
  crack: 'Crack',
  edge: 'Broken edge',
  steel: 'Steel or wire',
  leak: 'Paste leaked',
} as const;
export type Seen = keyof typeof SEEN;

const choices = (of: Readonly<Record<string, string>>) =>
  Object.entries(of).map(([value, label]) => ({ value, label }));

/** One thing seen on a face. */
export class SeenRow extends RowInput {
  @ChoiceField({ label: 'Face', options: choices(FACES), required: true, example: 'front' })
  face?: Face;

  @ChoiceField({ label: 'Seen', options: choices(SEEN), required: true, example: 'honeycomb' })
  what?: Seen;

  @MeasureField({
    label: 'From the marked end',
    ...lengthSpec(['0.25', '60'], ['5', '1500']),
    required: true,
    example: { US: '8', SI: '200' },
  })
  from?: string;

  @MeasureField({
    label: 'Along the beam',
    ...lengthSpec(['0.05', '60'], ['1', '1500']),
    required: true,
    example: { US: '1.5', SI: '40' },
  })
  along?: string;

  @MeasureField({
    label: 'Across',
    ...lengthSpec(['0.05', '20'], ['1', '500']),
    example: { US: '1', SI: '25' },
  })
  across?: string;
}

const ROWS = {
  US: [
    ['front', 'honeycomb', '2', '1.5', '1'],
    ['top', 'void', '14', '0.3', '0.3'],
  ],
  SI: [
    ['front', 'honeycomb', '50', '40', '25'],
    ['top', 'void', '350', '8', '8'],
  ],
} as const;

/** What is seen on a beam before anything is done with it. */
export class BeamArrivalInput extends RunInput {
  @RowsField({
    label: 'Seen on its faces',
    row: 'thing',
    Row: SeenRow,
    help: 'Nothing, where it is sound.',
    example: ROWS,
  })
  seen?: SeenRow[];

  @ChoiceField({
    label: 'Trowelled face',
    required: true,
    options: [
      { value: 'plane', label: 'Plane' },
      {
        value: 'rough',
        label: 'Rough or dished',
        means: {
          id: 'arrival.rough',
          severity: 'advice',
          message: 'A rough face bears nowhere.',
          action: 'It lies on its side in the machine; gaps are tried at the other faces.',
        },
      },
    ],
    example: 'plane',
  })
  trowelled?: 'plane' | 'rough';

  @CheckField({
    label: 'Four faces photographed, with a scale and the mark',
    missed: {
      id: 'arrival.photos',
      severity: 'advice',
      message: 'No pictures of its faces.',
      action: 'Photograph them now: once it is broken nobody knows whose fault it was.',
    },
  })
  photographed?: boolean;

  @InstantField({ label: 'Looked over at', required: true, example: '2031-06-10T15:20:00-04:00' })
  seenAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Dropped, dry, wrapped badly.', example: '' })
  remarks?: string;
}
