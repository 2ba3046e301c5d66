import { ChoiceField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { lengthSpec, SECONDS } from '../specs';

/** The readings of one slump flow, in the order they are taken. */
export class SlumpFlowInput extends RunInput {
  @EquipmentField({ label: 'Slump mould', equipmentKind: 'slump mould', example: 'CONE-1' })
  mould?: string;

  @ChoiceField({
    label: 'Procedure',
    help: 'One for the whole job.',
    options: [
      { value: 'A', label: 'A, mould upright' },
      { value: 'B', label: 'B, mould inverted' },
    ],
    required: true,
    example: 'B',
  })
  procedure?: 'A' | 'B';

  @InstantField({ label: 'Fill started', event: 'flow-fill', example: '2031-05-14T09:32:40-04:00' })
  fillStartedAt?: string;

  @InstantField({ label: 'Lift started', event: 'flow-lift-start', example: '2031-05-14T09:34:00-04:00' })
  liftStartedAt?: string;

  @InstantField({ label: 'Lift ended', event: 'flow-lift-end', example: '2031-05-14T09:34:03-04:00' })
  liftEndedAt?: string;

  @MeasureField({
    label: 'Lift',
    insteadOf: ['flow-lift-start', 'flow-lift-end'],
    help: 'By stopwatch, when it was not stamped.',
    ...SECONDS,
    example: '',
  })
  liftTime?: string;

  @MeasureField({
    label: 'Fill start to mould off',
    insteadOf: ['flow-fill', 'flow-lift-end'],
    help: 'By stopwatch, when it was not stamped: minutes and seconds.',
    ...SECONDS,
    example: '',
  })
  totalTime?: string;

  @MeasureField({
    label: 'Time to the ring',
    help: 'From the mould leaving the plate to the 20 in [500 mm] ring. Leave empty when it was not caught.',
    ...SECONDS,
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['0', '120'], SI: ['0', '120'] },
    example: '3.4',
  })
  ringTime?: string;

  @MeasureField({
    label: 'Largest diameter',
    help: 'A paste halo included.',
    ...lengthSpec(['0.25', '60'], ['5', '1500']),
    required: true,
    example: { US: '25 1/2', SI: '650' },
  })
  diameter1?: string;

  @MeasureField({
    label: 'Diameter at right angles',
    ...lengthSpec(['0.25', '60'], ['5', '1500']),
    required: true,
    example: { US: '25', SI: '635' },
  })
  diameter2?: string;

  @MeasureField({
    label: 'Width of the halo',
    ...lengthSpec(['0.25', '12'], ['5', '300']),
    example: { US: '0', SI: '0' },
  })
  halo?: string;

  @ChoiceField({
    label: 'Visual stability',
    options: [
      { value: '0', label: '0 no segregation or bleeding' },
      { value: '1', label: '1 slight sheen of bleeding' },
      { value: '2', label: '2 small halo or pile of stones' },
      { value: '3', label: '3 wide halo or large pile' },
    ],
    example: '0',
  })
  stability?: '0' | '1' | '2' | '3';

  @InstantField({ label: 'Read at', event: 'flow-read', example: '2031-05-14T09:35:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
