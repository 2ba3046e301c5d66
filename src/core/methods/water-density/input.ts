import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { MASS } from '../mass-spec';
import { TEMPERATURE } from '../specs';

/** The readings of a specimen that is weighed in air and in water. */
export class WaterDensityInput extends RunInput {
  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', carry: true, example: 'BALANCE-1' })
  balance?: string;

  @ChoiceField({
    label: 'It is',
    required: true,
    carry: true,
    options: [
      { value: 'saturated', label: 'Saturated, wiped' },
      { value: 'received', label: 'As it came' },
      { value: 'dry', label: 'Oven-dry' },
    ],
    help: 'Masses of another state are another density.',
    example: 'saturated',
  })
  moisture?: 'saturated' | 'received' | 'dry';

  @MeasureField({ label: 'Mass in air', ...MASS, required: true, example: { US: '63.42', SI: '28.780' } })
  massAir?: string;

  @MeasureField({
    label: 'Water',
    ...TEMPERATURE,
    carry: true,
    held: {
      limit: 'weighed.temperature',
      what: 'The water at',
      severity: 'departure',
      action: 'Bring it to the room’s temperature: its density is taken for that.',
    },
    example: { US: '68', SI: '20' },
  })
  water?: string;

  @MeasureField({
    label: 'Mass in water',
    ...MASS,
    required: true,
    help: 'What the balance shows with it hung in water.',
    example: { US: '36.35', SI: '16.495' },
  })
  massWater?: string;

  @MeasureField({
    label: 'Hanger in water',
    ...MASS,
    possible: { US: ['0', '50'], SI: ['0', '23'] },
    carry: true,
    aside: true,
    help: 'Where it was not tared at the depth it hangs.',
    example: { US: '0', SI: '0' },
  })
  hanger?: string;

  @CheckField({
    label: 'No bubbles, nothing touches, steady for ten seconds',
    missed: {
      id: 'weighed.clear',
      severity: 'departure',
      message: 'Bubbles in honeycomb, a wall or a loose cable carry a part of it.',
      action: 'Turn it under water, brush it, hang it free, wait ten seconds: then weigh again.',
      remark: 'Mass in water not read free and steady.',
    },
  })
  clear?: boolean;

  @ChoiceField({
    label: 'In it',
    required: true,
    carry: true,
    options: [
      { value: 'nothing', label: 'Concrete alone' },
      { value: 'something', label: 'Bars, a sensor, something else' },
    ],
    example: 'something',
  })
  inside?: 'nothing' | 'something';

  @MeasureField({
    label: 'Mass of what is in it',
    ...MASS,
    aside: true,
    help: 'By its drawing or its label; then the concrete alone is worked out.',
    example: { US: '0.75', SI: '0.340' },
  })
  insideMass?: string;

  @MeasureField({
    label: 'Its density',
    dimension: 'density',
    unit: { US: 'lb/ft3', SI: 'kg/m3' },
    step: { US: '1', SI: '10' },
    possible: { US: ['30', '600'], SI: ['500', '9600'] },
    aside: true,
    help: 'Steel 490 lb/ft³ [7,850 kg/m³], basalt bars about 125 [2,000].',
    example: { US: '490', SI: '7,850' },
  })
  insideDensity?: string;

  @InstantField({ label: 'Weighed at', required: true, example: '2031-06-11T08:20:00-04:00' })
  weighedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Dripping, honeycombed, capped.', example: '' })
  remarks?: string;
}
