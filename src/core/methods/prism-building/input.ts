import { ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { AIR_TEMPERATURE } from '../specs';

/** How a set of prisms was built, kept and brought to the press. */
export class PrismBuildingInput extends RunInput {
  @ChoiceField({
    label: 'Units',
    required: true,
    options: [
      { value: 'same', label: 'As in the wall: same kind, same moisture' },
      {
        value: 'other',
        label: 'Others, wetted, or another moisture',
        means: {
          id: 'prism.units',
          severity: 'departure',
          needsReason: true,
          message: 'The units are not as those in the wall.',
          action: 'Build them of the units of the wall as they are laid there.',
          remark: 'Prisms not built of units as in the wall.',
        },
      },
    ],
    example: 'same',
  })
  units?: 'same' | 'other';

  @MeasureField({
    label: 'Bag, thickness',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['0.5', '20'], SI: ['0.01', '0.5'] },
    help: 'In thousandths of an inch [mm], as printed on its roll.',
    held: {
      limit: 'prism.bag',
      severity: 'departure',
      what: 'The bag is',
      action: 'Take a thicker one: a thin bag dries the prism out.',
    },
    example: { US: '4', SI: '0.1' },
  })
  bag?: string;

  @ChoiceField({
    label: 'Bag and base',
    required: true,
    options: [
      { value: 'yes', label: 'Level base; bag open under it before the first course' },
      {
        value: 'no',
        label: 'Without, or set in later',
        means: {
          id: 'prism.bagged',
          severity: 'invalid',
          message: 'A prism that is lifted into its bag is jarred, one without a bag dries out.',
          action: 'Build it anew, on a level base in its open bag.',
        },
      },
    ],
    example: 'yes',
  })
  bagged?: 'yes' | 'no';

  @TextField({
    label: 'Mortar',
    required: true,
    help: 'Type, source, batch and when it was mixed.',
    example: 'type S, batch of 9:20',
  })
  mortar?: string;

  @InstantField({
    label: 'Laid at',
    required: true,
    help: 'The last unit.',
    example: '2031-06-05T10:00:00-04:00',
  })
  laidAt?: string;

  @MeasureField({
    label: 'Joint',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.0625', SI: '1' },
    possible: { US: ['0.05', '2'], SI: ['1', '50'] },
    held: {
      limit: 'prism.joint',
      severity: 'departure',
      what: 'The joint is',
      action: 'Full bed on shells and webs, 3/8 in [10 mm], tooled flush.',
    },
    example: { US: '3/8', SI: '10' },
  })
  joint?: string;

  @InstantField({
    label: 'Grouted at',
    aside: true,
    help: 'Of grouted prisms: a day to two after they were laid.',
    example: '',
  })
  groutedAt?: string;

  @TextField({ label: 'Grout', aside: true, help: 'Mix, slump, consolidated and again.', example: '' })
  grout?: string;

  @InstantField({ label: 'Bag closed at', required: true, example: '2031-06-05T10:20:00-04:00' })
  closedAt?: string;

  @MeasureField({
    label: 'Coldest',
    ...AIR_TEMPERATURE,
    aside: true,
    held: {
      limit: 'prism.room',
      severity: 'departure',
      what: 'It was as cold as',
      action: 'Keep them warmer.',
    },
    example: { US: '64', SI: '18' },
  })
  coldest?: string;

  @MeasureField({
    label: 'Hottest',
    ...AIR_TEMPERATURE,
    aside: true,
    held: { limit: 'prism.room', severity: 'departure', what: 'It was as hot as', action: 'Shade them.' },
    example: { US: '81', SI: '27' },
  })
  hottest?: string;

  @InstantField({
    label: 'Moved at',
    required: true,
    help: 'Strapped or clamped, upright.',
    example: '2031-06-07T11:00:00-04:00',
  })
  movedAt?: string;

  @ChoiceField({
    label: 'Came whole',
    required: true,
    options: [
      { value: 'yes', label: 'All of them' },
      {
        value: 'some',
        label: 'One or more with a cracked joint',
        means: {
          id: 'prism.cracked',
          severity: 'departure',
          message: 'A prism with a cracked joint is not broken.',
          action: 'Discard it on its own page; the spare takes its place.',
          remark: 'Prisms with cracked joints discarded.',
        },
      },
    ],
    example: 'yes',
  })
  whole?: 'yes' | 'some';

  @TextField({ label: 'Remarks', aside: true, help: 'Wind, sun, a jolt on the road.', example: '' })
  remarks?: string;
}
