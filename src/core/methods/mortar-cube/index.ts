import { CRITERIA as OF_CEMENT } from '../../materials/cement/criteria';
import { LIMITS as CEMENT_ROWS } from '../../materials/cement/limits';
import { CRITERIA } from '../../materials/mortar/criteria';
import { LIMITS as ROWS } from '../../materials/mortar/limits';
import { sizesOf } from '../../moulds';
import { standard } from '../../working';
import { asked, ofSpecimen } from '../facts';
import { OWN_STRENGTH, pressed } from '../press';
import { compute, PRESS } from './compute';
import { MortarCubeInput } from './input';

/** What hurts at the press, and what stands after the break, of every small cube of mortar. */
export const SMALL_CUBE =
  'A small cube bursts too: guard shut until the load is at zero. The seat must tilt freely under so small a face.';
export const AFTER_CUBE = [
  {
    id: 'remarks',
    title: 'After the break',
    phase: 'after',
    instruction: 'What was odd: voids, layers, a slip, an uneven break.',
    fields: ['remarks'],
    caution: 'Sweep damp: crushed mortar carries silica dust.',
  },
] as const;

/** Compressive strength of mortar cubes, from the storage water to the broken cube. */
export const mortarCube = pressed<MortarCubeInput>({
  id: 'mortar-cube',
  title: 'Mortar cube',
  designations: [standard('ASTM C109/C109M')],
  forms: sizesOf('mortar cube'),
  facts: {
    ...OWN_STRENGTH,
    mortarType: asked('mortarType', 'text'),
    mortarBy: asked('mortarBy', 'text'),
    purpose: ofSpecimen('purpose', 'text'),
  },
  yields: [{ quantity: 'compressive strength', symbol: 'f' }],
  Input: MortarCubeInput,
  steps: {
    measure: [
      {
        id: 'cube',
        title: 'Look the cube over',
        phase: 'before',
        instruction:
          'Wipe it surface dry and free of grit. Faces that were against the mould are loaded. Measure the edges when cube or mould look off.',
        fields: ['found', 'faces', 'edgeX', 'edgeY'],
      },
    ],
    load: {
      instruction:
        'No cushion. Bring it to its rate within the first half of the load; no adjusting afterwards, least of all when it yields.',
      fields: ['loadingRate'],
      caution: SMALL_CUBE,
    },
    after: AFTER_CUBE,
  },
  press: PRESS,
  set: {
    word: 'Mortar cubes',
    quantity: 'compressive strength',
    by: ['age', 'cure'],
    // ASTM C109/C109M (from memory): 8.7 % for three, 7.6 % for two, compared to a tenth of a percent; two cubes equally
    // far from the mean are left to a person, which is our choice.
    combine: 'two nearest of three',
    step: 'small.step',
    fewest: 2,
    criteria: [...CRITERIA, ...OF_CEMENT].flatMap(({ id, by }) => (by.includes('mortar-cube') ? [id] : [])),
    derivedBy: { ...ROWS, ...CEMENT_ROWS },
    spread: {
      measure: 'range',
      rows: { 2: 'mortar-cube.range-2', 3: 'mortar-cube.range-3' },
      place: 1,
      rounded: true,
      beyond: 'no mean',
      bad: 'The test is made again.',
      otherwise: 'the rule is for two and for three cubes',
    },
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? 'mortar-2' : 'mortar-50',
    input: { maximumLoad: system === 'US' ? '17,340' : '77.2' },
  }),
});
