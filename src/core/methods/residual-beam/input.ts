import { BendInput } from '../bend/input';
import { CheckField, ChoiceField, MeasureField } from '../fields';
import { lengthSpec } from '../specs';

const LOAD = {
  dimension: 'force',
  unit: { US: 'lbf', SI: 'kN' },
  step: { US: '10', SI: '0.01' },
  possible: { US: ['0', '30000'], SI: ['0', '140'] },
  aside: true,
} as const;
const readAt = (us: string, si: string) => ({ ...LOAD, label: `Second loading, at ${us} in [${si} mm]` });

/** The readings of a fibre beam that is cracked over a steel plate and loaded again without it. */
export class ResidualBeamInput extends BendInput {
  @MeasureField({
    label: 'Plate thick',
    ...lengthSpec(['0.005', '2'], ['0.1', '50']),
    carry: true,
    required: true,
    help: 'Stainless steel under the beam, as long and as wide as it.',
    example: { US: '0.50', SI: '12.0' },
  })
  plateThick?: string;

  @MeasureField({
    label: 'First loading ended at',
    ...lengthSpec(['0.001', '0.2'], ['0.01', '5']),
    required: true,
    help: 'Net deflection with the plate under it.',
    example: { US: '0.008', SI: '0.20' },
  })
  firstTo?: string;

  @ChoiceField({
    label: 'By then it was',
    required: true,
    options: [
      { value: 'cracked', label: 'Cracked' },
      {
        value: 'whole',
        label: 'Not cracked',
        means: {
          id: 'residual.whole',
          severity: 'invalid',
          message: 'A beam that did not crack over its plate has nothing left to be told.',
          action:
            'Load it on over the plate to 0.020 in [0.50 mm]; whole even then, it is no test: take another.',
        },
      },
    ],
    example: 'cracked',
  })
  cracked?: 'cracked' | 'whole';

  @CheckField({
    label: 'Plate taken away, deflection set to nought again',
    missed: {
      id: 'residual.zeroed',
      severity: 'departure',
      needsReason: true,
      message: 'The second loading is read from where the beam lies without its plate.',
      action: 'Take the plate out, lay it back on its supports, set the deflection to nought.',
      remark: 'Deflection not set to nought before the second loading.',
    },
  })
  zeroedAgain?: boolean;

  @MeasureField({ ...readAt('0.020', '0.50'), example: { US: '2,250', SI: '10.05' } })
  loadA?: string;

  @MeasureField({ ...readAt('0.030', '0.75'), example: { US: '2,080', SI: '9.28' } })
  loadB?: string;

  @MeasureField({ ...readAt('0.040', '1.00'), example: { US: '1,980', SI: '8.84' } })
  loadC?: string;

  @MeasureField({ ...readAt('0.050', '1.25'), example: { US: '1,850', SI: '8.27' } })
  loadD?: string;
}
