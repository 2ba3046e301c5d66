import { isMould, mouldText, sizesOf } from '../../moulds';
import { plainOf } from '../../quantity';
import { standard } from '../../working';
import { CONCRETE_STRENGTH, FORCE_UNIT, pressed, pressPlan } from '../press';
import { limitsOf } from '../setup';
import { companionsOf } from './companions';
import { compute, PRESS } from './compute';
import { StaticModulusInput } from './input';

/** Static modulus of elasticity and Poisson's ratio. */
export const staticModulus = pressed<StaticModulusInput>({
  id: 'static-modulus',
  title: 'Static modulus',
  designations: [standard('ASTM C469/C469M'), standard('EN 12390-13')],
  forms: sizesOf('cylinder'),
  facts: {
    ...CONCRETE_STRENGTH,
    companions: {
      of: 'companions',
      take: 'compressive strength',
      by: ['cylinder-compression'],
      alike: true,
      is: 'texts',
    },
  },
  yields: [
    { quantity: 'modulus of elasticity', symbol: 'E' },
    { quantity: 'Poisson’s ratio', symbol: 'nu' },
  ],
  Input: StaticModulusInput,
  steps: {
    measure: [
      {
        id: 'companion',
        title: 'Companions and sizes',
        phase: 'before',
        instruction:
          'Break at least two companions first: 40 % of their mean strength (a third in the EN school) is where every loading ends. Two diameters at mid-height.',
        fields: ['companion', 'diameter1', 'diameter2', 'ends'],
      },
      {
        id: 'gauges',
        title: 'Yokes and gauges',
        phase: 'before',
        instruction:
          'Fit the yokes, set the gauges, take the spacer bars out. Gauge length at least three times the aggregate, preferably half the height.',
        fields: ['kind', 'gaugeLength', 'pivotArm', 'gaugeArm'],
        caution: 'Keep fingers from the yokes while the platen can move.',
      },
    ],
    load: {
      title: 'Load and let go, three times',
      instruction:
        'Loading 1 seats the gauges: look for odd readings, let go. Loadings 2 and 3: read load and strain on both sides of 50 millionths (EN: of a tenth of the strength) and of the upper stress, without stopping; never beyond it. Up and down at the same rate.',
      fields: ['loadings', 'loadingRate'],
      caution: 'Take delicate gauges off before the specimen is crushed, if it is.',
    },
    after: [
      {
        id: 'remarks',
        title: 'Remarks',
        phase: 'after',
        instruction: 'What was odd; what becomes of the specimen.',
        fields: ['remarks'],
      },
    ],
  },
  spends: false,
  press: PRESS,
  plan(system, setup) {
    const { form = '' } = setup.specimen ?? {};
    const test = PRESS.test(Object.assign(new StaticModulusInput(), { system }), setup);
    if (!isMould(form) || !test) return [];
    return [
      { label: 'Size', text: mouldText(form) },
      ...(test.expected
        ? [{ label: 'Every loading ends at', text: plainOf(test.expected, FORCE_UNIT[system]) }]
        : [
            companionsOf(setup, system) ?? {
              label: 'First',
              text: 'companion strength',
              note: 'at least two cylinders',
            },
          ]),
      ...pressPlan({ ...test, expected: undefined }, undefined, limitsOf(setup), system),
    ];
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? '4x8' : '100x200',
    input: { maximumLoad: system === 'US' ? '25,000' : '111.2' },
  }),
});
