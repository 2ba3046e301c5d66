import { SIZES } from '../beam/field-specs';
import { CheckField, ChoiceField, InstantField, MeasureField } from '../fields';
import { InPressInput, OUT_OF_MOIST } from '../press';
import { lengthSpec } from '../specs';

const SPEED = {
  dimension: 'speed',
  unit: { US: 'in/min', SI: 'mm/min' },
  step: { US: '0.001', SI: '0.01' },
  possible: { US: ['0.0001', '4'], SI: ['0.001', '100'] },
} as const;

/** What is read of every beam that is bent by its displacement. */
export abstract class BendInput extends InPressInput {
  @InstantField({ ...OUT_OF_MOIST, label: 'Out of the water at' })
  outOfMoistAt?: string;

  @MeasureField({
    label: 'Span, support to support',
    ...lengthSpec(['0.05', '60'], ['1', '1500']),
    possible: { US: ['5', '60'], SI: ['125', '1500'] },
    carry: true,
    required: true,
    example: { US: '18.00', SI: '450' },
  })
  span?: string;

  @MeasureField({ ...SIZES.width1, example: { US: '6.00', SI: '150' } })
  width1?: string;

  @MeasureField({ ...SIZES.width2, example: { US: '6.00', SI: '150' } })
  width2?: string;

  @MeasureField({ ...SIZES.width3, example: { US: '6.00', SI: '150' } })
  width3?: string;

  @MeasureField({ ...SIZES.depth1, example: { US: '6.00', SI: '150' } })
  depth1?: string;

  @MeasureField({ ...SIZES.depth2, example: { US: '6.00', SI: '150' } })
  depth2?: string;

  @MeasureField({ ...SIZES.depth3, example: { US: '6.00', SI: '150' } })
  depth3?: string;

  @MeasureField({
    label: 'Set speed',
    ...SPEED,
    carry: true,
    help: 'Of what the machine is driven by.',
    example: { US: '0.0394', SI: '1.0' },
  })
  speed?: string;

  @CheckField({
    label: 'Limit switches set, guard shut, break detection off or at 80 %',
    missed: {
      id: 'bend.stops',
      severity: 'departure',
      beforeLoad: true,
      message: 'A machine that stops by itself on the first drop cuts the record off.',
      action: 'Set it off, or to 80 % of the peak, and end at a displacement.',
      remark: 'Break detection of the machine not set for a beam that goes on after its first crack.',
    },
  })
  stops?: boolean;

  @MeasureField({
    label: 'First crack seen at',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '10', SI: '0.01' },
    possible: { US: ['0', '200000'], SI: ['0', '900'] },
    aside: true,
    help: 'By the eye, with the display read at that moment.',
    example: { US: '7,150', SI: '31.9' },
  })
  crackSeen?: string;

  @ChoiceField({
    label: 'It ended',
    required: true,
    options: [
      { value: 'set', label: 'At the displacement that was set' },
      { value: 'broken', label: 'Broken through' },
      {
        value: 'drop',
        label: 'The machine stopped on a drop',
        means: {
          id: 'bend.ended',
          severity: 'departure',
          message: 'The record ends where the machine stopped, not where the beam did.',
          action: 'What lies beyond is not determined. Set the break detection off for the next one.',
          remark: 'The machine stopped on a drop of the force.',
        },
      },
      {
        value: 'hand',
        label: 'Stopped by hand',
        means: {
          id: 'bend.ended',
          severity: 'departure',
          message: 'It was stopped before its end.',
          action: 'Say why; what lies beyond is not determined.',
          remark: 'Stopped by hand.',
        },
      },
    ],
    example: 'set',
  })
  ended?: 'set' | 'broken' | 'drop' | 'hand';

  @MeasureField({
    label: 'Break to the nearer support',
    ...lengthSpec(['0.05', '30'], ['1', '750']),
    required: true,
    help: 'On the face in tension.',
    example: { US: '8.2', SI: '205' },
  })
  place?: string;
}
