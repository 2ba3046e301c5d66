import { BEAMS, sizesOf } from '../../moulds';
import { standard } from '../../working';
import { THIRD } from '../beam/arrangement';
import { BEAM_FACTS } from '../beam/facts';
import { exampleDisplay, exampleRecord } from '../bend/example';
import { bendPress } from '../bend/press';
import { bendSteps } from '../bend/steps';
import { pressed } from '../press';
import { compute, RESIDUAL } from './compute';
import { drivenBy, placesOf } from './driven';
import { ResidualBeamInput } from './input';

/** A fibre beam cracked over a steel plate, then loaded again without it: for a machine without a closed loop. */
export const residualBeam = pressed<ResidualBeamInput>({
  id: 'residual-beam',
  title: 'Residual strength, cracked over a plate',
  designations: [standard('ASTM C1399/C1399M')],
  forms: sizesOf(...BEAMS),
  facts: BEAM_FACTS,
  plannedWhen: () => false,
  yields: [{ quantity: RESIDUAL, symbol: 'ARS' }],
  Input: ResidualBeamInput,
  steps: bendSteps({
    fixture: ['plateThick'],
    how: 'First over its plate, slowly, to 0.008 in [0.20 mm] of net deflection: it cracks and the plate holds it. Unload, take the plate out, set the deflection to nought. Then without it at the same speed: the loads at 0.020, 0.030, 0.040 and 0.050 in [0.50, 0.75, 1.00, 1.25 mm] are what is asked. The record that is kept is the second one.',
    load: ['firstTo', 'cracked', 'zeroedAgain', 'loadA', 'loadB', 'loadC', 'loadD'],
  }),
  press: bendPress((_, b, d, span) => THIRD.area(b, d, span), 3, drivenBy),
  bends: (input) => ({ toe: false, at: placesOf(input) }),
  columns: [
    { heading: 'Size', of: ['=b', '=d'] },
    { heading: 'First loading to', of: ['firstTo'] },
    { heading: 'Loads', of: ['=PA', '=PB', '=PC', '=PD'] },
  ],
  set: {
    word: 'Beams cracked over a plate',
    quantity: RESIDUAL,
    begun: true,
    by: ['age', 'cure'],
    combine: 'mean',
    step: 'bend.step',
    wanted: 'residual.count',
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? 'beam-4x4x14' : 'beam-100x100x350',
    input: {
      ...Object.fromEntries(
        ['width', 'depth'].flatMap((name) =>
          [1, 2, 3].map((place) => [`${name}${place}`, system === 'US' ? '4.00' : '100'] as const),
        ),
      ),
      span: system === 'US' ? '12.00' : '300',
      speed: system === 'US' ? '0.025' : '0.65',
      place: system === 'US' ? '5.6' : '140',
      maximumLoad: exampleDisplay(10_400, system),
      crackSeen: exampleDisplay(9400, system),
      outOfMoistAt: '2031-06-11T08:52:00-04:00',
      zeroedAgain: true,
    },
    loadLog: exampleRecord(
      [
        [0, 0],
        [0.35, 10_400],
        [0.5, 10_050],
        [0.76, 9250],
        [1.02, 8800],
        [1.28, 8200],
        [1.4, 8100],
      ],
      { toe: false, at: placesOf({ system }) },
    ),
  }),
});
