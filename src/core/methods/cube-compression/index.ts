import { sizesOf } from '../../moulds';
import { standard } from '../../working';
import { CONCRETE_STRENGTH, pressed } from '../press';
import { compute, PRESS } from './compute';
import { CubeCompressionInput } from './input';

/** Compressive strength of cast cubes, in the EN and the IS school. */
export const cubeCompression = pressed<CubeCompressionInput>({
  id: 'cube-compression',
  title: 'Cube compression',
  designations: [standard('EN 12390-3'), standard('IS 516')],
  forms: sizesOf('cube'),
  facts: CONCRETE_STRENGTH,
  yields: [
    { quantity: 'compressive strength', symbol: 'fc' },
    { quantity: 'density', symbol: 'rho' },
  ],
  Input: CubeCompressionInput,
  steps: {
    measure: [
      {
        id: 'sides',
        title: 'Sides and mass',
        phase: 'before',
        instruction: 'Both pairs of sides across the faces that will be loaded. Trowelled face to the side.',
        fields: ['sideX', 'sideY', 'height', 'mass', 'trowelled'],
      },
    ],
    load: {
      instruction:
        'Steady from about a third of the load on, at the chosen rate to failure; no adjusting near the end. Nothing between cube and platens.',
      fields: ['loadingRate'],
      caution: 'Cubes burst. Guard shut until the load is at zero; a standing piece still holds energy.',
    },
    after: [
      {
        id: 'pattern',
        title: 'Failure pattern',
        phase: 'after',
        instruction: 'All four open sides, before anything moves.',
        fields: ['pattern', 'remarks'],
        caution: 'Sweep damp: crushed concrete carries silica dust.',
      },
    ],
  },
  press: PRESS,
  set: {
    word: 'Cubes',
    quantity: 'compressive strength',
    by: ['age', 'cure'],
    combine: 'mean',
    step: 'cube.step',
    // EN 206: a range above 15 % of the mean disregards the set unless a reason to drop one is found; IS 456 15.4: each
    // within ±15 % of the mean (both from memory).
    fewest: 2,
    named: true,
    spread: {
      measure: 'range',
      rows: { any: 'cube.set-range' },
      place: 1,
      beyond: 'no mean',
      good: 'The set is valid.',
      bad: 'Disregard the set, unless an investigation finds a reason to drop one.',
    },
    schools: {
      is: {
        fewest: 'cube.count',
        spread: {
          measure: 'farthest',
          rows: { any: 'cube.set-each' },
          place: 1,
          beyond: 'no mean',
          good: 'The set is valid.',
          bad: 'The set is invalid.',
        },
      },
    },
  },
  compute,
  // A load of the size that a cube of usual concrete takes.
  example: (system) => ({
    form: 'cube-150',
    input: { maximumLoad: system === 'US' ? '158,300' : '704.2' },
  }),
});
