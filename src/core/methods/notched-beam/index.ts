import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import { CENTRE } from '../beam/arrangement';
import { BEAM_FACTS } from '../beam/facts';
import { meanRead } from '../bend/base';
import { exampleDisplay, exampleRecord } from '../bend/example';
import { bendPress } from '../bend/press';
import { bendSteps } from '../bend/steps';
import { pressed } from '../press';
import { compute, LOP } from './compute';
import { drivenBy, edgesOf, OPENINGS, PROPORTIONAL, placesOf } from './driven';
import { NotchedBeamInput } from './input';

/** A notched fibre beam, with what it carries as its notch opens. */
export const notchedBeam = pressed<NotchedBeamInput>({
  id: 'notched-beam',
  title: 'Notched fibre beam',
  designations: [standard('EN 14651')],
  forms: sizesOf(...BEAMS),
  facts: BEAM_FACTS,
  plannedWhen: () => false,
  yields: [
    { quantity: LOP, symbol: 'fL' },
    ...OPENINGS.map((opening, index) => ({
      quantity: `residual strength at ${opening} mm`,
      symbol: `fR${index + 1}`,
    })),
  ],
  Input: NotchedBeamInput,
  steps: bendSteps({
    fixture: ['above1', 'above2', 'notchWide', 'over'],
    how: 'In the middle, over the notch: the opening at 0.05 mm a minute up to 0.1 mm, then at 0.2 mm a minute to 4 mm at least.',
    after: [
      {
        id: 'crack',
        title: 'Where it began',
        phase: 'after',
        instruction: 'A beam whose crack began beside its notch is rejected.',
        fields: ['crackAt'],
      },
    ],
  }),
  press: bendPress(
    (input, b, d, span) => CENTRE.area(b, meanRead(input, ['above1', 'above2']) ?? d, span),
    3.3,
    drivenBy,
  ),
  bends: (input) => ({ toe: false, ...placesOf(input), edges: edgesOf(input) }),
  columns: [
    { heading: 'Above the notch', of: ['=h'] },
    { heading: 'fR1', of: ['=fR1'] },
    { heading: 'fR3', of: ['=fR3'] },
    { heading: 'fR4', of: ['=fR4'] },
  ],
  set: {
    word: 'Notched beams',
    quantity: LOP,
    begun: true,
    by: ['age', 'cure'],
    combine: 'mean',
    step: 'notch.step',
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530',
    input: {
      maximumLoad: exampleDisplay(14_200, system),
      span: system === 'US' ? '19.69' : '500',
      speed: system === 'US' ? '0.002' : '0.05',
      outOfMoistAt: '2031-06-11T08:52:00-04:00',
    },
    loadLog: exampleRecord(
      [
        [0, 0],
        [0.04, 14_200],
        [0.06, 13_800],
        [0.5, 12_600],
        [1.5, 11_900],
        [2.5, 10_800],
        [3.5, 9300],
        [4.1, 8600],
      ],
      { toe: false, at: [...OPENINGS], upTo: PROPORTIONAL },
    ),
  }),
});
