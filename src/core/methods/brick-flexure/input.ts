import { BRICK_SIZE } from '../brick/grams';
import { CheckField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { SECONDS } from '../specs';

/** The readings of a brick bent to failure. */
export class BrickFlexureInput extends RunInput {
  @EquipmentField({ label: 'Machine', equipmentKind: 'compression machine', carry: true, example: 'PRESS-1' })
  machine?: string;

  @EquipmentField({ label: 'Calliper', equipmentKind: 'calliper', carry: true, example: 'CALLIPER-1' })
  calliper?: string;

  @CheckField({
    label: 'Supports free to turn, steel plate under the load, a frog upwards',
    missed: {
      id: 'brick.flexure-setup',
      severity: 'departure',
      needsReason: true,
      message: 'Supports and plate are not as the method has them.',
      action: 'Set them: a support that does not turn bends the brick twice.',
      remark: 'Bent on supports or a plate other than the method has.',
    },
  })
  supports?: boolean;

  @MeasureField({
    label: 'Length of the brick',
    ...BRICK_SIZE,
    help: 'The span is about an inch less.',
    example: { US: '7.62', SI: '193.5' },
  })
  length?: string;

  @MeasureField({
    label: 'Span',
    ...BRICK_SIZE,
    carry: true,
    required: true,
    example: { US: '6.63', SI: '168.5' },
  })
  span?: string;

  @MeasureField({ label: 'Width', ...BRICK_SIZE, required: true, example: { US: '3.60', SI: '91.4' } })
  width?: string;

  @MeasureField({ label: 'Depth', ...BRICK_SIZE, required: true, example: { US: '2.25', SI: '57.0' } })
  depth?: string;

  @MeasureField({
    label: 'Load at failure',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '1', SI: '0.01' },
    possible: { US: ['20', '20000'], SI: ['0.1', '90'] },
    required: true,
    example: { US: '1,390', SI: '6.18' },
  })
  load?: string;

  @MeasureField({
    label: 'Break from the middle',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.05', SI: '1' },
    possible: { US: ['0', '8'], SI: ['0', '205'] },
    required: true,
    help: 'Along the middle of the face in tension.',
    example: { US: '0.30', SI: '8' },
  })
  off?: string;

  @MeasureField({
    label: 'Time of loading',
    ...SECONDS,
    possible: { US: ['1', '300'], SI: ['1', '300'] },
    aside: true,
    help: 'From contact to the break: the load a minute comes from it.',
    example: '58',
  })
  time?: string;

  @InstantField({ label: 'Broken at', required: true, example: '2031-05-22T13:00:00-04:00' })
  testedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'An old crack, a broken corner.', example: '' })
  remarks?: string;
}
