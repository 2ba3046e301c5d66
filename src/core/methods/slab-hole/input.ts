import { CheckField, ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { lengthSpec } from '../specs';

const THICKNESS = {
  ...lengthSpec(['0.125', '60'], ['1', '1500']),
  possible: { US: ['1', '60'], SI: ['25', '1500'] },
} as const;

/** What is read of a hole for a humidity probe, from the scan to the cap. */
export class SlabHoleInput extends RunInput {
  @ChoiceField({
    label: 'Scanned',
    required: true,
    options: [
      { value: 'clear', label: 'Clear: no tendon, tube or conduit' },
      {
        value: 'obstructed',
        label: 'Something lies there',
        means: {
          id: 'slab.obstructed',
          severity: 'invalid',
          message: 'Something lies in the slab here.',
          action: 'Do not drill. Choose a place at least 12 in [300 mm] away and scan again.',
        },
      },
      {
        value: 'not',
        label: 'Not scanned',
        means: {
          id: 'slab.not-scanned',
          severity: 'departure',
          needsReason: true,
          beforeLoad: true,
          message: 'Nobody has looked what lies in the slab.',
          action: 'Drawings and a scan first: a tendon that is hit kills, a heating tube floods the floor.',
          remark: 'Drilled without a scan.',
        },
      },
    ],
    example: 'clear',
  })
  scanned?: 'clear' | 'obstructed' | 'not';

  @MeasureField({
    label: 'Thickness',
    ...THICKNESS,
    required: true,
    carry: true,
    example: { US: '5.25', SI: '133' },
  })
  thickness?: string;

  @ChoiceField({
    label: 'Thickness is known by',
    required: true,
    carry: true,
    options: [
      { value: 'pilot', label: 'Pilot hole or opening' },
      { value: 'core', label: 'Core' },
      { value: 'scan', label: 'Radar or echo' },
      {
        value: 'drawing',
        label: 'The drawing only',
        means: {
          id: 'slab.drawing',
          severity: 'departure',
          message: 'A slab that is drawn as 4 in is cast from 3.5 to 5.5 in.',
          action: 'Measure it at one place of each pour: the depth of every hole hangs on it.',
          remark: 'Thickness not verified.',
        },
      },
    ],
    example: 'pilot',
  })
  thicknessBy?: 'pilot' | 'core' | 'scan' | 'drawing';

  @ChoiceField({
    label: 'Drilled',
    required: true,
    carry: true,
    options: [
      { value: 'dry', label: 'Dry, with the hammer, square to the floor' },
      {
        value: 'wet',
        label: 'With water',
        means: {
          id: 'slab.wet',
          severity: 'invalid',
          message: 'Water was drilled into it.',
          action: 'Give this hole up and patch it. A new one, dry, at least 12 in [300 mm] away.',
        },
      },
      {
        value: 'formed',
        label: 'Not: formed when it was cast, to its depth',
        means: {
          id: 'slab.formed',
          severity: 'departure',
          message: 'A hole that was formed is a variant of the test.',
          action: 'See that the edition in hand has it, and say so with every reading.',
          remark: 'Hole formed in the fresh concrete, not drilled.',
        },
      },
    ],
    example: 'dry',
  })
  drilled?: 'dry' | 'wet' | 'formed';

  @MeasureField({
    label: 'Depth at its deepest',
    ...lengthSpec(['0.0625', '30'], ['1', '800']),
    required: true,
    help: 'With the ruler of this slab, after it was cleaned.',
    example: { US: '2.125', SI: '53' },
  })
  depth?: string;

  @CheckField({
    label: 'Brushed and vacuumed until no dust comes out',
    missed: {
      id: 'slab.dust',
      severity: 'departure',
      message: 'Dust keeps the liner off the bottom.',
      action: 'Brush and vacuum it twice before the liner goes in.',
      remark: 'Hole not cleaned until no dust came out.',
    },
  })
  cleaned?: boolean;

  @CheckField({
    label: 'Liner down to the bottom and tight',
    missed: {
      id: 'slab.liner',
      severity: 'invalid',
      message: 'A loose liner lets the air of the room in.',
      action: 'Set it anew, or drill a new hole with a sharp bit.',
    },
  })
  lined?: boolean;

  @TextField({
    label: 'Serial of the sensor left in it',
    help: 'Scan it. Empty where a probe is brought along.',
    example: '',
  })
  serial?: string;

  @InstantField({
    label: 'Sealed at',
    required: true,
    help: 'Capped, flush or below the floor.',
    example: '2031-03-02T10:20:00-05:00',
  })
  sealedAt?: string;

  @TextField({ label: 'Remarks', help: 'Cracks, stains, water, what lies near.', example: '' })
  remarks?: string;
}
