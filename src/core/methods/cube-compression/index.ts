import { mouldOf } from '../../moulds';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { examplePress, pressSteps, specimenPlan } from '../press';
import { compute, PRESS } from './compute';
import { CubeCompressionInput } from './input';

/** Compressive strength of cast cubes, in the EN and the IS school. */
export const cubeCompression: Method<CubeCompressionInput> = {
  id: 'cube-compression',
  title: 'Cube compression',
  designations: [standard('EN 12390-3'), standard('IS 516')],
  runOn: 'specimen',
  takes: (mould) => mouldOf(mould).kind === 'cube',
  yields: [
    { quantity: 'compressive strength', symbol: 'fc' },
    { quantity: 'density', symbol: 'rho' },
  ],
  Input: CubeCompressionInput,
  steps: pressSteps({
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
  }),
  performedAt: 'testedAt',
  limitPrefixes: [
    'cube.',
    'is/cube.',
    'en/age.',
    'cylinder.',
    'age.',
    'expected.',
    'machine.',
    'press.',
    'log.',
    'equipment.',
  ],
  press: PRESS,
  mainResult: 'compressive strength',
  plan: (system, setup) =>
    specimenPlan(PRESS.test(Object.assign(new CubeCompressionInput(), { system }), setup), setup, system),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CubeCompressionInput), system), system, ...load(system) },
    setup: examplePress(system, 'cube-150'),
  }),
};

/** A load of the size that a cube of usual concrete takes. */
function load(system: 'US' | 'SI'): { maximumLoad: string } {
  return { maximumLoad: system === 'US' ? '158,300' : '704.2' };
}
