import { sizesOf } from '../../moulds';
import { standard } from '../../working';
import { CONCRETE_STRENGTH, pressed } from '../press';
import { compute, PRESS } from './compute';
import { SplittingTensileInput } from './input';

/** Splitting tensile strength of concrete cylinders. */
export const splittingTensile = pressed<SplittingTensileInput>({
  id: 'splitting-tensile',
  title: 'Splitting tensile',
  designations: [standard('ASTM C496/C496M'), standard('EN 12390-6'), standard('IS 5816')],
  forms: sizesOf('cylinder'),
  facts: CONCRETE_STRENGTH,
  yields: [{ quantity: 'splitting tensile strength', symbol: 'T' }],
  Input: SplittingTensileInput,
  steps: {
    measure: [
      {
        id: 'lines',
        title: 'Lines and sizes',
        phase: 'before',
        instruction:
          'Mark a diametral line on each end with the jig, both in one plane. Three diameters and two lengths in that plane.',
        fields: ['lines', 'diameter1', 'diameter2', 'diameter3', 'length1', 'length2'],
      },
      {
        id: 'strips',
        title: 'Strips and plate',
        phase: 'before',
        instruction:
          'A new strip centred below, the cylinder on it with its lines vertical, a new strip along the line on top. A plate where the block is shorter than the cylinder.',
        fields: ['strips'],
      },
    ],
    load: {
      instruction:
        'Continuously and without shock at the splitting rate, from the beginning to the split: a compression rate is ten to twenty times too fast.',
      fields: ['loadingRate'],
      caution: 'The halves fall to the sides: feet and hands away, hold nothing.',
    },
    after: [
      {
        id: 'fracture',
        title: 'Fracture',
        phase: 'after',
        instruction: 'How it split, and how much of the coarse aggregate is broken through.',
        fields: ['fracture', 'aggregateBroken', 'remarks'],
        caution: 'Sweep damp: broken concrete carries silica dust.',
      },
    ],
  },
  press: PRESS,
  set: {
    word: 'Split cylinders',
    quantity: 'splitting tensile strength',
    by: ['age', 'cure'],
    combine: 'mean',
    step: 'splitting.step',
    // ASTM C496: two of one sample by one operator within 14 % of their mean (from memory); of more it is only said.
    fewest: 2,
    spread: {
      measure: 'range',
      rows: { 2: 'splitting.range' },
      place: 2,
      beyond: 'said',
      bad: 'Investigate: strips, marked lines, rate, labels.',
      otherwise: 'the rule is for two cylinders',
    },
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? '4x8' : '100x200',
    input: { maximumLoad: system === 'US' ? '21,430' : '95.6' },
  }),
});
