import { wallOf } from '../../pipe/product';
import { plainOf } from '../../quantity';
import { standard } from '../../working';
import { specified } from '../facts';
import { PRODUCT_FACTS, saidIn } from '../pipe/said';
import { LENGTH_UNIT, pressed, specimenPlan } from '../press';
import { compute, PRESS, STRENGTH } from './compute';
import { PipeCoreInput } from './input';

/** Strength of a core through the wall of a pipe. Order of work: ASTM C497 (from memory), in our own words. */
export const pipeCore = pressed<PipeCoreInput>({
  id: 'pipe-core',
  title: 'Core of the wall',
  designations: [standard('ASTM C497/C497M'), standard('ASTM C42/C42M')],
  forms: ['pipe-core'],
  facts: { ...PRODUCT_FACTS, specifiedStrength: specified('specifiedStrength') },
  yields: [{ quantity: STRENGTH, symbol: 'fc' }],
  Input: PipeCoreInput,
  steps: {
    fetch: {
      id: 'from',
      title: 'Out of the wall',
      phase: 'before',
      instruction:
        'Radially, between the wires of the cage, from a pipe that was drawn at random. Saw the ends flat; keep it as agreed.',
      fields: ['location', 'aggregate', 'steel', 'kept'],
      caution:
        'Anchor the rig; water and electricity apart; silica dust: wet drilling, respirator by the local rule. Locate the steel first.',
    },
    measure: [
      {
        id: 'sizes',
        title: 'Diameter, length, caps',
        phase: 'before',
        instruction: 'Two diameters at the middle, the length before the caps and with them.',
        fields: ['diameter1', 'diameter2', 'lengthBefore', 'length', 'ends'],
      },
    ],
    load: {
      instruction: 'As a cylinder: without shock, the rate held in the second half.',
      fields: ['loadingRate'],
      caution: 'Enclosure shut, face away.',
    },
    after: [
      {
        id: 'broke',
        title: 'How it broke, and the hole',
        phase: 'after',
        instruction:
          'Say how it broke. The hole in the pipe is made good and noted, or the pipe is not shipped.',
        fields: ['broke', 'plugged', 'remarks'],
        caution: 'Sweep damp: crushed concrete carries silica dust.',
      },
    ],
  },
  press: PRESS,
  set: {
    word: 'Cores of the pipe',
    quantity: STRENGTH,
    by: [],
    combine: 'each alone',
    step: 'pipe-core.step',
    criteria: ['pipe-core'],
  },
  columns: [
    { heading: 'D', of: ['=D'] },
    { heading: 'L/D', of: ['=R'] },
    { heading: 'Factor', of: ['=k'] },
    { heading: 'Load', of: ['maximumLoad'] },
    { heading: 'How it broke', of: ['broke'] },
    { heading: 'Hole', of: ['plugged'] },
  ],
  plan: (system, setup) => {
    const wall = wallOf(saidIn(setup), system);
    return [
      ...(wall
        ? [
            {
              label: 'Core no wider than',
              text: plainOf(wall, LENGTH_UNIT[system]),
              note: 'The wall, less what is trimmed: shorter than wide it has no strength to report.',
            },
          ]
        : []),
      ...specimenPlan(PRESS.test(Object.assign(new PipeCoreInput(), { system }), setup), setup, system),
    ];
  },
  compute,
  example: (system) => ({
    form: 'pipe-core',
    input: { maximumLoad: system === 'US' ? '58,300' : '259.4', testedAt: '2031-09-18T09:05:00-04:00' },
    facts: { specifiedStrength: system === 'US' ? '5,000 psi' : '35 MPa' },
  }),
});
