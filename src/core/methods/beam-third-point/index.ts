import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import { THIRD } from '../beam/arrangement';
import { beamMethod } from '../beam/method';
import { BeamThirdPointInput } from './input';

/** Flexural strength of a beam loaded at the third points. */
export const beamThirdPoint = beamMethod<BeamThirdPointInput>({
  id: 'beam-third-point',
  title: 'Flexure, third-point loading',
  designations: [standard('ASTM C78/C78M'), standard('EN 12390-5'), standard('IS 516')],
  forms: sizesOf(...BEAMS),
  Input: BeamThirdPointInput,
  arrangement: THIRD,
  load: { US: '7,640', SI: '32.9' },
  set: {
    word: 'Beams',
    criteria: ['opening-traffic'],
    spread: {
      measure: 'range',
      rows: { 2: 'beam.range-2', 3: 'beam.range-3' },
      place: 1,
      beyond: 'said',
      bad: 'Look before the pieces go: one that dried, rate, gaps, segregation, exchanged labels. None is dropped for being low.',
      otherwise: 'the rule is for two or three beams',
    },
    schools: {
      is: {
        criteria: [],
        spread: {
          measure: 'farthest',
          rows: { any: 'is/beam.farthest' },
          place: 2,
          beyond: 'no mean',
          bad: 'The result of this sample is not valid.',
        },
      },
    },
  },
});
