import { CheckField, ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { OVERALL, THIN } from '../unit-absorption/sizes';
import { SAWN, type Sawn } from './what-to-saw';

const FLAT = { ...THIN, possible: { US: ['0', '12'], SI: ['0', '305'] } } as const;
const { required: _, ...AS_CUT } = OVERALL;

/** What is looked at before a unit is sawn, and what was sawn. */
export class UnitSawingInput extends RunInput {
  @MeasureField({
    label: 'Face shell',
    ...THIN,
    required: true,
    help: 'Where a coupon would be sawn out. Of a solid unit its width.',
    example: { US: '1.26', SI: '32.0' },
  })
  shell?: string;

  @MeasureField({
    label: 'Projections stand out by',
    ...FLAT,
    required: true,
    carry: true,
    help: 'Ears of open ends, lips; 0 where there are none.',
    example: { US: '0', SI: '0' },
  })
  projection?: string;

  @MeasureField({
    label: 'Thickness of the projections',
    ...THIN,
    carry: true,
    help: 'Of projections only.',
    example: '',
  })
  thick?: string;

  @MeasureField({
    label: 'Webs lie lower by',
    ...FLAT,
    required: true,
    carry: true,
    help: 'Than the top of the face shells; 0 where they are level.',
    example: { US: '0', SI: '0' },
  })
  recess?: string;

  @ChoiceField({
    label: 'The machine breaks',
    required: true,
    carry: true,
    options: [
      { value: 'whole', label: 'a whole unit' },
      { value: 'cells', label: 'closed cells of it' },
      { value: 'neither', label: 'neither' },
    ],
    help: 'The plan of its compression test says so, with the reason.',
    example: 'neither',
  })
  machine?: 'whole' | 'cells' | 'neither';

  @ChoiceField({
    label: 'Closed cells',
    required: true,
    carry: true,
    options: [
      { value: 'yes', label: 'Four sides, no projection, regular webs' },
      { value: 'no', label: 'None can be sawn out' },
    ],
    example: 'yes',
  })
  closed?: 'yes' | 'no';

  @ChoiceField({
    label: 'Done',
    required: true,
    options: Object.entries(SAWN).map(([value, label]) => ({ value, label })),
    example: 'coupon',
  })
  sawn?: Sawn;

  @ChoiceField({
    label: 'Saw',
    required: true,
    carry: true,
    options: [
      { value: 'wet', label: 'wet' },
      { value: 'dry', label: 'dry' },
      { value: 'none', label: 'not sawn' },
    ],
    help: 'What was sawn wet is conditioned again.',
    example: 'wet',
  })
  saw?: 'wet' | 'dry' | 'none';

  @MeasureField({
    label: 'Coupon, thickness',
    ...THIN,
    help: 'As cut.',
    example: { US: '1.26', SI: '32.0' },
  })
  couponThickness?: string;

  @MeasureField({
    label: 'Coupon, height',
    ...AS_CUT,
    help: 'In the height of the unit.',
    example: { US: '2.52', SI: '64.0' },
  })
  couponHeight?: string;

  @MeasureField({ label: 'Coupon, length', ...AS_CUT, example: { US: '5.05', SI: '128.5' } })
  couponLength?: string;

  @CheckField({
    label: 'Marked again: the cut took its number, or leaves it',
    missed: {
      id: 'saw.mark',
      severity: 'advice',
      message: 'Whether its number is still on it is not said.',
      action: 'Mark the piece with the number of its unit before it leaves the saw.',
    },
  })
  marked?: boolean;

  @InstantField({ label: 'Sawn at', required: true, example: '2031-05-20T13:10:00-04:00' })
  sawnAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
