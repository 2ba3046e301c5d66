import { CRITERIA } from '../../materials/rock/criteria';
import { CYLINDER } from '../../materials/rock/forms';
import { plainOf } from '../../quantity';
import { standard } from '../../working';
import { asked } from '../facts';
import { limitRows } from '../limit-rows';
import { pressed, pressPlan } from '../press';
import { limitsOf } from '../setup';
import { compute, PRESS, STRENGTH } from './compute';
import { derives } from './group';
import { RockCompressionInput } from './input';
import { LIMITS } from './limits';
import { expectedStress, rateItemsOf } from './rate';
import { LENGTHS, meanRead } from './sizes';

const ID = 'rock-compression';

/** Strength of a core of rock between two platens, its ends checked before. */
export const rockCompression = pressed<RockCompressionInput>({
  id: ID,
  title: 'Compression of a rock core',
  designations: [standard('ASTM D7012', 'method C'), standard('ASTM D4543')],
  forms: [CYLINDER],
  facts: {
    expectedStrength: asked('expectedStrength', { dimension: 'stress' }),
  },
  columns: [
    { heading: 'D', of: ['=D'] },
    { heading: 'L/D', of: ['=R'] },
    { heading: 'Flat', of: ['*e'] },
    { heading: 'Square', of: ['*q'] },
    { heading: 'Parallel', of: ['*w'] },
    { heading: 'Load', of: ['=P', 'maximumLoad'], first: true },
    { heading: 'Time, s', of: ['time'] },
    { heading: 'How it failed', of: ['failure'] },
  ],
  yields: [
    { quantity: STRENGTH.rock, symbol: 'S' },
    { quantity: STRENGTH.other, symbol: 'S', instead: true, named: true, apart: true },
    { quantity: STRENGTH.joint, symbol: 'S', instead: true, named: true, apart: true },
  ],
  Input: RockCompressionInput,
  steps: {
    fetch: {
      id: 'piece',
      title: 'Look at the core',
      phase: 'before',
      instruction:
        'An intact length, sawn and ground; keep it as the moisture of its group says until it is loaded. Look for joints, veins and the largest grain; mark one side of it from end to end.',
      fields: ['cracked', 'grain', 'fabric'],
      caution:
        'Sawing and grinding: silica dust, water beside electricity, a blade that grips. Guard, respirator and wet cutting by local rule and the machine’s manual.',
    },
    measure: [
      {
        id: 'sizes',
        title: 'Diameters and length',
        phase: 'before',
        instruction:
          'Six diameters, two at right angles at top, middle and bottom. The length after the ends are ground, three places round it.',
        fields: [
          'top1',
          'top2',
          'middle1',
          'middle2',
          'bottom1',
          'bottom2',
          'length1',
          'length2',
          'length3',
          'mass',
        ],
      },
      {
        id: 'ends',
        title: 'Side and ends',
        phase: 'before',
        instruction:
          'Roll it on the flat plate with a feeler. Then the dial along two diameters of each end, from the marked side, plus where the rock stands out: the picture says whether it is flat, square and parallel.',
        fields: ['ends', 'side', 'sense', 'endReadings'],
        caution: 'A surface plate is heavy: it stays where it is. Fingers away from under the core.',
      },
      {
        id: 'rate',
        title: 'Choose the rate',
        phase: 'before',
        instruction:
          'It shall fail within 2 to 15 min, at a steady rate. Rock that is too weak for a rate of the stress goes by the crosshead.',
        fields: ['control', 'chosenRate'],
      },
    ],
    load: {
      instruction:
        'Zero before contact, seat it lightly, start the clock, and load without shock at the rate that was chosen until it fails.',
      fields: ['heldAtZero', 'loadingRate', 'time'],
      caution:
        'Strong rock bursts and throws pieces: the cage shut all round, eyes and face shielded, nobody in line. Wait until the load is off.',
    },
    after: [
      {
        id: 'failure',
        title: 'How it failed',
        phase: 'after',
        instruction:
          'Fit it together before you say it; photograph it. Bag pieces for the water content at once.',
        fields: ['failure', 'failureAngle', 'kept', 'beside', 'remarks'],
        caution: 'Edges are sharp and dust of rock holds silica: gloves, no dry brushing.',
      },
    ],
  },
  press: PRESS,
  looksFirst: 'failure',
  set: {
    word: 'Cores',
    quantity: STRENGTH.rock,
    by: [],
    combine: 'mean',
    step: 'ucs.step',
    wanted: 'ucs.cores',
    criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
    derives,
    derivedBy: LIMITS,
  },
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const input = Object.assign(new RockCompressionInput(), { system });
    const expected = expectedStress(setup, system);
    const test = PRESS.test(input, setup);
    return [
      ...(expected
        ? [
            {
              label: 'Strength expected',
              text: plainOf(expected.toSignificantDigits(3), system === 'US' ? 'psi' : 'MPa'),
            },
            ...rateItemsOf(expected, meanRead(input, LENGTHS), limits, system),
          ]
        : []),
      ...(test ? pressPlan(test, undefined, limits, system) : []),
      ...limitRows(
        ['ucs.diameter', 'ucs.length-ratio', 'ucs.flat', 'ucs.square', 'ucs.parallel'],
        system,
        setup,
      ),
    ];
  },
  compute,
  example: (system) => ({
    form: CYLINDER,
    input: { maximumLoad: system === 'US' ? '45,800' : '203.7' },
    facts: { expectedStrength: system === 'US' ? '13,000 psi' : '90 MPa' },
  }),
});
