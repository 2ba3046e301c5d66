import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import { CENTRE } from '../beam/arrangement';
import { beamMethod } from '../beam/method';
import { BeamCentrePointInput } from './input';

/** Flexural strength of a beam loaded in the middle. It reads higher, and stands for no third-point strength. */
export const beamCentrePoint = beamMethod<BeamCentrePointInput>({
  id: 'beam-centre-point',
  title: 'Flexure, centre-point loading',
  designations: [standard('ASTM C293/C293M'), standard('EN 12390-5')],
  forms: sizesOf(...BEAMS),
  Input: BeamCentrePointInput,
  arrangement: CENTRE,
  load: { US: '5,720', SI: '24.7' },
  set: {
    word: 'Beams loaded in the middle',
    criteria: ['opening-traffic-centre'],
    spread: {
      measure: 'range',
      rows: { 2: 'beam.centre-range-2', 3: 'beam.centre-range-3' },
      place: 1,
      beyond: 'said',
      bad: 'Look before the pieces go: one that dried, rate, gaps, segregation, exchanged labels. None is dropped for being low.',
      otherwise: 'the rule is for two or three beams',
    },
  },
});
