import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import { THIRD } from '../beam/arrangement';
import { BEAM_FACTS } from '../beam/facts';
import { exampleDisplay, exampleRecord } from '../bend/example';
import { bendPress } from '../bend/press';
import { bendSteps } from '../bend/steps';
import { pressed } from '../press';
import { compute, FIRST } from './compute';
import { deflectionsOf, drivenBy, edgesOf } from './driven';
import { FibreBeamInput } from './input';

/** A fibre beam at the third points, with what it carries after its crack. */
export const fibreBeam = pressed<FibreBeamInput>({
  id: 'fibre-beam',
  title: 'Fibre beam, third-point',
  designations: [standard('ASTM C1609/C1609M')],
  forms: sizesOf(...BEAMS),
  facts: BEAM_FACTS,
  plannedWhen: () => false,
  yields: [
    { quantity: FIRST, symbol: 'f1' },
    { quantity: 'peak strength', symbol: 'fp' },
    { quantity: 'residual strength at L/600', symbol: 'f600' },
    { quantity: 'residual strength at L/300', symbol: 'f300' },
    { quantity: 'residual strength at L/150', symbol: 'f150' },
    { quantity: 'toughness to L/150', symbol: 'T' },
    { quantity: 'equivalent flexural strength ratio', symbol: 'R' },
    { quantity: 'deflection at the first peak', symbol: 'd1' },
  ],
  Input: FibreBeamInput,
  steps: bendSteps({
    fixture: ['measuredBy', 'concreteStrength'],
    how: 'On its side, third-point loading, closed loop on the net deflection of the yoke: slowly up to L/900, then faster, and on to L/150.',
    after: [
      {
        id: 'stable',
        title: 'How it went on',
        phase: 'after',
        instruction:
          'A deflection that jumped after the first peak leaves a hole in the record where the fibres are judged.',
        fields: ['stable'],
      },
    ],
  }),
  press: bendPress((_, b, d, span) => THIRD.area(b, d, span), 3, drivenBy),
  bends: (input) => ({ toe: false, at: deflectionsOf(input), edges: edgesOf(input) }),
  columns: [
    { heading: 'Size', of: ['=b', '=d'] },
    { heading: 'Span', of: ['span'] },
    { heading: 'L/600', of: ['=f600'] },
    { heading: 'L/150', of: ['=f150'] },
    { heading: 'Ratio', of: ['=R'] },
  ],
  set: {
    word: 'Fibre beams',
    quantity: FIRST,
    begun: true,
    by: ['age', 'cure'],
    combine: 'mean',
    step: 'bend.step',
  },
  compute,
  example: (system) => {
    const mm = system === 'US' ? 25.4 * 18 : 450;
    return {
      form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530',
      input: {
        maximumLoad: exampleDisplay(33_000, system),
        speed: system === 'US' ? '0.002' : '0.05',
        outOfMoistAt: '2031-06-11T08:52:00-04:00',
      },
      loadLog: exampleRecord(
        [
          [0, 0],
          [0.048, 33_000],
          [0.08, 26_500],
          [0.8, 27_500],
          [1.6, 24_500],
          [3.2, 20_500],
        ],
        { toe: false, at: [mm / 600, mm / 300, mm / 150] },
      ),
    };
  },
});
