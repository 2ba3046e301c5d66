import { sizesOf } from '../../moulds';
import { standard } from '../../working';
import { CONCRETE_STRENGTH, pressed, pressPlan } from '../press';
import { limitsOf } from '../setup';
import { compute, PRESS } from './compute';
import { CoreCompressionInput } from './input';

export { coreWindow } from './findings';

/** Compressive strength of drilled cores. */
export const coreCompression = pressed<CoreCompressionInput>({
  id: 'core-compression',
  title: 'Core compression',
  designations: [standard('ASTM C42/C42M')],
  forms: sizesOf('core'),
  facts: CONCRETE_STRENGTH,
  yields: [{ quantity: 'core strength', symbol: 'f' }],
  Input: CoreCompressionInput,
  steps: {
    measure: [
      {
        id: 'history',
        title: 'From the drill',
        phase: 'before',
        instruction:
          'When it was drilled, sealed and wetted last, and where. The wait after the last wetting and the last day of testing leave little time between: look at the window.',
        fields: [
          'drilledAt',
          'baggedAt',
          'wettedAt',
          'location',
          'member',
          'direction',
          'aggregate',
          'steel',
        ],
        caution:
          'Steel, tendons and conduits are found by a licensed survey before drilling. Post-tensioned members are never drilled without the engineer’s release.',
      },
      {
        id: 'sizes',
        title: 'Diameters, lengths, ends',
        phase: 'before',
        instruction:
          'Two diameters at mid-height at right angles. The length before capping and after. No pads on cores.',
        fields: ['diameter1', 'diameter2', 'lengthBefore', 'length', 'ends', 'endsPlane', 'conditioning'],
      },
    ],
    load: {
      instruction:
        'As a cylinder: without shock, the rate held in the second half, the valve left alone near the top.',
      fields: ['loadingRate'],
    },
    after: [
      {
        id: 'fracture',
        title: 'Fracture',
        phase: 'after',
        instruction: 'Say how it broke and what the inside shows: voids, steel, cold joint, segregation.',
        fields: ['fractureWords', 'remarks'],
        caution: 'Sweep damp: crushed concrete carries silica dust.',
      },
    ],
  },
  sequence: [
    ['since', 'drilledAt', 'baggedAt', 'testedAt'],
    ['drilledAt', 'wettedAt', 'testedAt'],
    ['outOfMoistAt', 'testedAt'],
  ],
  press: PRESS,
  set: {
    word: 'Cores',
    quantity: 'core strength',
    by: ['age', 'cure'],
    // Cores are held against shares of what is specified: their mean is printed as no strength.
    combine: 'each alone',
    step: 'cylinder.strength-step',
    criteria: ['core-mean', 'core-each'],
  },
  plan(system, setup) {
    const test = PRESS.test(Object.assign(new CoreCompressionInput(), { system }), setup);
    const limits = limitsOf(setup);
    return [
      {
        label: 'Wait',
        text: `${limits.number('core.dry', system)} d after the last wetting`,
        note: `and at most ${limits.number('core.test', system)} d after drilling`,
      },
      ...(test ? pressPlan(test, undefined, limits, system) : []),
    ];
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? 'core-4' : 'core-100',
    input: {
      testedAt: '2031-06-11T09:05:00-04:00',
      maximumLoad: system === 'US' ? '56,420' : '251.3',
    },
  }),
});
