import { BEAMS, sizesOf } from '../../moulds';
import { ourChoice } from '../../working';
import { CENTRE, THIRD } from '../beam/arrangement';
import { BEAM_FACTS } from '../beam/facts';
import { exampleDisplay, exampleRecord } from '../bend/example';
import { bendPress } from '../bend/press';
import { bendSteps } from '../bend/steps';
import { pressed } from '../press';
import { compute, ENERGY, STIFFNESS, STRESS } from './compute';
import { drivenBy } from './driven';
import { BeamBendingInput } from './input';

const ID = 'beam-bending';

/** Energies are asked for at nothing but what the record itself says. */
const NOWHERE: readonly number[] = [];

/** A beam, plain or with something in it, bent by its displacement. */
export const beamBending = pressed<BeamBendingInput>({
  id: ID,
  title: 'Bending by displacement',
  designations: [ourChoice('bending driven by displacement, 1 mm/min; no standard strength')],
  forms: sizesOf(...BEAMS),
  facts: {
    ...BEAM_FACTS,
    otherKinds: { of: 'companions', take: 'input.kind', by: [ID], alike: true, is: 'texts' },
    otherStresses: { of: 'companions', take: STRESS, by: [ID], alike: true, is: 'texts', unrounded: true },
    otherStiffnesses: {
      of: 'companions',
      take: STIFFNESS,
      by: [ID],
      alike: true,
      is: 'texts',
      unrounded: true,
    },
    otherEnergies: { of: 'companions', take: ENERGY, by: [ID], alike: true, is: 'texts', unrounded: true },
  },
  plannedWhen: () => false,
  yields: [
    { quantity: STRESS, symbol: 's' },
    { quantity: 'stress at the first crack', symbol: 'sc' },
    { quantity: 'peak over first crack', symbol: 'h' },
    { quantity: STIFFNESS, symbol: 'k' },
    { quantity: 'displacement at the peak', symbol: 'dp' },
    { quantity: ENERGY, symbol: 'Ep' },
    { quantity: 'energy to the first crack', symbol: 'Ec' },
    { quantity: 'ductility', symbol: 'mu' },
  ],
  Input: BeamBendingInput,
  steps: bendSteps({
    fixture: ['kind', 'loading', 'measuredBy'],
    how: 'Crosshead just clear of the beam, displacement at nought, then at 1 mm a minute. A plain beam to its break; one with bars or fibres on, until what was set. Call the first crack you see. It is no strength of the standard flexure methods: it runs eight times as fast and more.',
    after: [
      {
        id: 'bars',
        title: 'What is in it',
        phase: 'after',
        instruction:
          'Of the reinforcement as it lies in the broken face: area, depth, perimeter; moduli where they are known.',
        fields: ['barArea', 'barDepth', 'barPerimeter', 'barModulus', 'concreteModulus', 'concreteStrength'],
      },
      {
        id: 'cracks',
        title: 'Cracks',
        phase: 'after',
        instruction: 'Close and fine speaks of good bond, a single wide one of bars that pulled out.',
        fields: ['crackTaken', 'cracks', 'spacing', 'widest', 'failure'],
      },
    ],
  }),
  press: bendPress(
    (input, b, d, span) => (input.loading === 'third' ? THIRD : CENTRE).area(b, d, span),
    3,
    drivenBy,
  ),
  bends: (input) => ({ toe: input.measuredBy !== 'net', at: NOWHERE }),
  columns: [
    { heading: 'Beam', of: ['kind', 'loading'] },
    { heading: 'Size', of: ['=b', '=d'] },
    { heading: 'Peak', of: ['maximumLoad'] },
    { heading: 'At the end', of: ['failure', 'ended'] },
  ],
  set: {
    word: 'Beams bent by displacement',
    quantity: STRESS,
    begun: true,
    by: ['age', 'cure'],
    combine: 'each alone',
    step: 'bend.step',
  },
  compute,
  example: (system) => ({
    form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530',
    input: {
      maximumLoad: exampleDisplay(31_000, system),
      outOfMoistAt: '2031-06-11T08:52:00-04:00',
    },
    loadLog: exampleRecord(
      [
        [0, 0],
        [0.3, 24_000],
        [0.34, 17_500],
        [2.2, 28_500],
        [5.4, 31_000],
        [5.9, 14_000],
        [6.2, 13_500],
      ],
      { toe: true, at: [] },
    ),
  }),
});
