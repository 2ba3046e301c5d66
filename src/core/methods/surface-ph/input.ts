import { ChoiceField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { countSpec, SECONDS } from '../specs';

const PH = { ...countSpec('0.1', '14') } as const;

/** One puddle on the surface. */
export class PuddleRow extends RowInput {
  @TextField({ label: 'Where', help: 'Hole or place on the plan.', required: true, example: '' })
  place?: string;

  @MeasureField({ label: 'Waited', ...SECONDS, required: true, example: '60' })
  waited?: string;

  @MeasureField({
    label: 'pH',
    ...PH,
    required: true,
    help: 'Of the strip beside its own chart, or of the meter.',
    example: '9',
  })
  pH?: string;
}

/** What is read of the alkalinity of a surface that an adhesive or a coating goes on. */
export class SurfacePhInput extends RunInput {
  @ChoiceField({
    label: 'Surface',
    required: true,
    carry: true,
    options: [
      { value: 'ready', label: 'As the floor goes on it: ground or blasted, clean, dry' },
      { value: 'etched', label: 'Washed with acid, rinsed, dried' },
      {
        value: 'before',
        label: 'Not prepared yet',
        means: {
          id: 'ph.before',
          severity: 'departure',
          message: 'Grinding opens fresh paste, which reads higher.',
          action: 'Test it again on the surface that the floor goes on.',
          remark: 'Surface not prepared when its pH was read.',
        },
      },
    ],
    example: 'ready',
  })
  surface?: 'ready' | 'etched' | 'before';

  @ChoiceField({
    label: 'Water',
    required: true,
    carry: true,
    options: [
      { value: 'distilled', label: 'Distilled or deionised' },
      {
        value: 'tap',
        label: 'From the tap',
        means: {
          id: 'ph.tap',
          severity: 'invalid',
          message: 'Water from the tap brings a pH of its own.',
          action: 'Distilled or deionised water, on fresh places.',
        },
      },
    ],
    example: 'distilled',
  })
  water?: 'distilled' | 'tap';

  @ChoiceField({
    label: 'Read by',
    required: true,
    carry: true,
    options: [
      { value: 'paper', label: 'Paper, with its own chart, in date' },
      { value: 'meter', label: 'Meter, set over buffers today' },
    ],
    example: 'paper',
  })
  by?: 'paper' | 'meter';

  @MeasureField({
    label: 'pH of the rinse water',
    ...PH,
    help: 'After acid: the surface is held to it.',
    example: '',
  })
  rinse?: string;

  @RowsField({
    label: 'Puddles',
    row: 'puddle',
    Row: PuddleRow,
    help: 'About an inch [25 mm] wide, at each place where moisture is tested.',
    example: {
      US: [
        ['H1', '60', '9'],
        ['H2', '61', '9.5'],
        ['H3', '60', '8.5'],
      ],
      SI: [
        ['H1', '60', '9'],
        ['H2', '61', '9.5'],
        ['H3', '60', '8.5'],
      ],
    },
  })
  puddles?: PuddleRow[];

  @InstantField({ label: 'Read at', required: true, example: '2031-03-03T11:40:00-05:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
