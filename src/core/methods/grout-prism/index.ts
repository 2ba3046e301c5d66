import { CRITERIA } from '../../materials/grout/criteria';
import { LIMITS as ROWS } from '../../materials/grout/limits';
import { sizesOf } from '../../moulds';
import { standard } from '../../working';
import { asked } from '../facts';
import { OWN_STRENGTH, pressed } from '../press';
import { compute, PRESS } from './compute';
import { GroutPrismInput } from './input';

/** Compressive strength of grout prisms, from the moist room to the broken prism. */
export const groutPrism = pressed<GroutPrismInput>({
  id: 'grout-prism',
  title: 'Grout prism',
  designations: [standard('ASTM C1019')],
  forms: sizesOf('grout prism'),
  facts: { ...OWN_STRENGTH, groutKind: asked('groutKind', 'text') },
  yields: [{ quantity: 'compressive strength', symbol: 'f' }],
  Input: GroutPrismInput,
  steps: {
    measure: [
      {
        id: 'sizes',
        title: 'Widths, height, ends',
        phase: 'before',
        instruction:
          'Both widths at mid-height, each on two faces, and the height. Square to the ends, capped or ground; damp until the test.',
        fields: ['x1', 'x2', 'y1', 'y2', 'height', 'square', 'ends'],
      },
    ],
    load: {
      instruction:
        'The first half at any convenient rate, the second half at the rate of the band. Grout is weak: look at the verified range first.',
      fields: ['loadingRate', 'secondHalf'],
    },
    after: [
      {
        id: 'remarks',
        title: 'After the break',
        phase: 'after',
        instruction: 'How it broke, honeycomb at the liner, a dry inside.',
        fields: ['remarks'],
        caution: 'Sweep damp: crushed grout carries silica dust.',
      },
    ],
  },
  press: PRESS,
  set: {
    word: 'Grout prisms',
    quantity: 'compressive strength',
    by: ['age', 'cure'],
    combine: 'mean',
    step: 'small.step',
    // ASTM C1019: three prisms (from memory); the range is our choice, nothing is dropped for it.
    fewest: 2,
    wanted: 'grout-prism.count',
    againstAsked: 'specifiedStrength',
    criteria: CRITERIA.map(({ id }) => id),
    derivedBy: ROWS,
    spread: {
      measure: 'range',
      rows: { any: 'grout-prism.range' },
      place: 1,
      rounded: true,
      beyond: 'said',
      bad: 'Look at caps and sides.',
    },
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? 'prism-3.5' : 'prism-90',
    input: { maximumLoad: system === 'US' ? '36,900' : '164.1' },
  }),
});
