import { ChoiceField, InstantField, MeasureField } from '../fields';
import {
  BROKEN_AT,
  FIRST_DIAMETER,
  LOADING_RATE,
  MAXIMUM_LOAD,
  PressedSpecimenInput,
  SECOND_DIAMETER,
} from '../press';
import { RowsField } from '../rows-field';
import { LoadingRow } from './rows';

const GAUGE = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.1' },
  possible: { US: ['0.1', '40'], SI: ['2', '1000'] },
} as const;

/** The readings of one cylinder loaded for its modulus. */
export class StaticModulusInput extends PressedSpecimenInput {
  @MeasureField(FIRST_DIAMETER)
  diameter1?: string;

  @MeasureField(SECOND_DIAMETER)
  diameter2?: string;

  @MeasureField({
    label: 'Companion strength',
    help: 'Mean of at least two companions, broken before: 40 % of it is where the loadings end.',
    required: true,
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['100', '30000'], SI: ['0.7', '200'] },
    example: { US: '4,870', SI: '33.6' },
  })
  companion?: string;

  @ChoiceField({
    label: 'Ends',
    required: true,
    options: [
      { value: 'ground', label: 'Ground' },
      { value: 'capped', label: 'Capped' },
      {
        value: 'pads',
        label: 'Unbonded pads',
        means: {
          id: 'modulus.pads',
          severity: 'departure',
          needsReason: true,
          beforeLoad: true,
          message: 'For modulus the ends are capped or ground; pads only if the edition in use allows them.',
          action: 'Grind or cap it.',
          remark: 'Modulus measured on unbonded pads.',
        },
      },
    ],
    example: 'ground',
  })
  ends?: 'ground' | 'capped' | 'pads';

  @ChoiceField({
    label: 'The readings are',
    required: true,
    options: [
      { value: 'strain', label: 'Strain, in millionths' },
      { value: 'gauge', label: 'Gauge travel, in the unit of length' },
    ],
    example: 'strain',
  })
  kind?: 'strain' | 'gauge';

  @MeasureField({ label: 'Gauge length', ...GAUGE, aside: true, example: { US: '5.00', SI: '125.0' } })
  gaugeLength?: string;

  @MeasureField({
    label: 'Pivot to axis',
    ...GAUGE,
    aside: true,
    help: 'Distance of the pivot from the plane of the axis; with equal arms leave both away: the travel is halved.',
    example: '',
  })
  pivotArm?: string;

  @MeasureField({
    label: 'Gauge to axis',
    ...GAUGE,
    aside: true,
    help: 'Distance of the gauge from the plane of the axis.',
    example: '',
  })
  gaugeArm?: string;

  @RowsField({
    label: 'Loadings',
    row: 'reading',
    Row: LoadingRow,
    required: true,
    help: 'The first loading seats the gauges; the second and the third count.',
    example: {
      US: [
        ['1', '0', '0'],
        ['1', '24000', '520'],
        ['2', '0', '0', '0'],
        ['2', '2200', '42', '7'],
        ['2', '3100', '58', '10'],
        ['2', '15200', '305', '52'],
        ['2', '24000', '489', '86'],
        ['2', '25000', '511', '90'],
        ['3', '0', '0', '0'],
        ['3', '2200', '41', '7'],
        ['3', '3100', '58', '10'],
        ['3', '15200', '307', '52'],
        ['3', '24000', '492', '87'],
        ['3', '25000', '513', '91'],
      ],
      SI: [
        ['1', '0', '0'],
        ['1', '107', '520'],
        ['2', '0', '0', '0'],
        ['2', '9.8', '42', '7'],
        ['2', '13.8', '58', '10'],
        ['2', '67.6', '305', '52'],
        ['2', '106.8', '489', '86'],
        ['2', '111.2', '511', '90'],
        ['3', '0', '0', '0'],
        ['3', '9.8', '41', '7'],
        ['3', '13.8', '58', '10'],
        ['3', '67.6', '307', '52'],
        ['3', '106.8', '492', '87'],
        ['3', '111.2', '513', '91'],
      ],
    },
  })
  loadings?: LoadingRow[];

  @MeasureField({ ...LOADING_RATE, help: 'If it was read.' })
  loadingRate?: string;
}

// The same readings under the names that they have here: nothing is broken.
MeasureField({
  ...MAXIMUM_LOAD,
  label: 'Largest load applied',
  help: 'Of all loadings: it tells whether the specimen is still good for modulus.',
})(StaticModulusInput.prototype, 'maximumLoad');
InstantField({ ...BROKEN_AT, label: 'Loaded at', help: 'The last loading.' })(
  StaticModulusInput.prototype,
  'testedAt',
);
