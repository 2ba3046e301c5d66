import { BendInput } from '../bend/input';
import { ChoiceField, MeasureField } from '../fields';

/** The readings of a fibre beam loaded at the third points under a controlled net deflection. */
export class FibreBeamInput extends BendInput {
  @ChoiceField({
    label: 'Deflection is measured',
    required: true,
    carry: true,
    options: [
      { value: 'yoke', label: 'On a yoke, one transducer each side' },
      {
        value: 'crosshead',
        label: 'At the crosshead',
        means: {
          id: 'fibre.crosshead',
          severity: 'departure',
          needsReason: true,
          beforeLoad: true,
          message: 'Travel of the crosshead has the settlement of the supports in it.',
          action: 'Put the yoke on. Without it the figures are indicative and are not reported as C1609.',
          remark: 'Deflection from the crosshead: indicative only.',
        },
      },
    ],
    example: 'yoke',
  })
  measuredBy?: 'yoke' | 'crosshead';

  @ChoiceField({
    label: 'After the first peak',
    required: true,
    options: [
      { value: 'steady', label: 'Went on without a jump' },
      {
        value: 'jumped',
        label: 'The deflection jumped',
        means: {
          id: 'fibre.jumped',
          severity: 'invalid',
          message: 'An unstable jump: what the beam carried meanwhile is not known.',
          action: 'Take another beam and a stiffer control; a closed loop on the net deflection.',
        },
      },
    ],
    example: 'steady',
  })
  stable?: 'steady' | 'jumped';

  @MeasureField({
    label: 'Specified strength f′c',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['500', '20000'], SI: ['3', '140'] },
    aside: true,
    help: 'For the requirements of fibre concrete in shear.',
    example: { US: '4,600', SI: '32' },
  })
  concreteStrength?: string;
}
