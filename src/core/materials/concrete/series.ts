import { LOW_FLEXURE_STEPS, LOW_STRENGTH_STEPS } from '../../acceptance/low-strength';
import type { SeriesRule } from '../../acceptance/series-rule';
import { STRENGTH_TEST_LIMITS } from '../../acceptance/strength-test';

const FLEXURE = {
  title: 'Flexural tests',
  test: 'Flexural test',
  cure: 'standard',
  asked: 'flexuralStrength',
  age: 'flexuralHours',
  symbol: 'flexural strength',
  step: 'beam.step',
  heldTo: ['flexure.', 'is/flexure.', 'beam.step'],
  lowSteps: LOW_FLEXURE_STEPS,
  lowMean: 'Tell the engineer and the producer: what follows stands in the project’s own text.',
  criteria: (profile) => [profile === 'is' ? 'flexure-average-four' : 'flexure-average', 'flexure-each'],
} satisfies Partial<SeriesRule>;

/** Its strength tests. */
export const STRENGTH: SeriesRule = {
  id: 'strength',
  title: 'Strength tests',
  test: 'Strength test',
  method: 'cylinder-compression',
  cure: 'standard',
  asked: 'specifiedStrength',
  age: 'ageHours',
  symbol: 'f′c',
  step: 'cylinder.strength-step',
  heldTo: STRENGTH_TEST_LIMITS,
  lowSteps: LOW_STRENGTH_STEPS,
  lowMean:
    'The rule asks for steps to raise the average of later tests; it does not of itself ask for cores. Tell the engineer and the producer.',
  within: true,
  criteria: () => ['running-average', 'individual'],
};

/** What follows one another of a concrete: its strength tests, and where it is asked for its flexural tests. */
export const SERIES: readonly SeriesRule[] = [
  STRENGTH,
  {
    ...FLEXURE,
    id: 'flexure',
    method: 'beam-third-point',
    when: ({ flexuralLoading }) => flexuralLoading !== 'centre',
  },
  // A strength that was asked for with the load in the middle is held against tests that were made so, and no others.
  {
    ...FLEXURE,
    id: 'flexure-centre',
    method: 'beam-centre-point',
    when: ({ flexuralLoading }) => flexuralLoading === 'centre',
  },
];
