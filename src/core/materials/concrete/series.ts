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
  beside: {
    method: 'cylinder-compression',
    symbol: 'f′c',
    pairs: 'flexure.relation-pairs',
    usual: 'beam.relation',
  },
  lowSteps: LOW_FLEXURE_STEPS,
  lowMean: 'Tell the engineer and the producer: what follows stands in the project’s own text.',
} satisfies Partial<SeriesRule>;

/** How a project judges its flexural tests: some in a row and each, by the school; or all of a placement, by their share within. */
const JUDGED: readonly {
  readonly by: 'rows' | 'lots';
  readonly suffix: string;
  criteria: SeriesRule['criteria'];
}[] = [
  {
    by: 'rows',
    suffix: '',
    criteria: (profile) => [profile === 'is' ? 'flexure-average-four' : 'flexure-average', 'flexure-each'],
  },
  { by: 'lots', suffix: '-lots', criteria: () => ['flexure-within'] },
];

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
  // A strength that was asked for with the load in the middle is held against tests that were made so, and no others.
  ...(['third', 'centre'] as const).flatMap((loading) =>
    JUDGED.map(
      ({ by, suffix, criteria }): SeriesRule => ({
        ...FLEXURE,
        id: `flexure${loading === 'centre' ? '-centre' : ''}${suffix}`,
        method: `beam-${loading}-point`,
        when: ({ flexuralLoading, flexuralJudged }) =>
          (flexuralLoading ?? 'third') === loading && (flexuralJudged ?? 'rows') === by,
        criteria,
      }),
    ),
  ),
];
