import type { Criterion } from '../../acceptance/criterion';
import type { Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import { standard } from '../../working';

const ACI_26_12_3 = standard('ACI 318', '26.12.3');
const ACI_26_12_6 = standard('ACI 318', '26.12.6');

/** Smallest single test allowed. Source: ACI 318 26.12.3 (from memory): f'c − 500 psi [3.5 MPa], above 5,000 [35] 0.90 f'c. */
export function individualLimit(specified: Exact, system: System, limits: Limits): Exact {
  const high = specified.greaterThan(limits.number('acceptance.dividing-strength', system));
  return high
    ? specified.times(exact(1).minus(limits.number('acceptance.individual-share', system)))
    : specified.minus(limits.number('acceptance.individual-shortfall', system));
}

const STRENGTH_TESTS = {
  source: ACI_26_12_3,
  quantity: 'compressive strength',
  by: ['cylinder-compression'],
  holds: 'at least',
} as const;

const ERRATIC = 'Further cores where results are erratic, else the licensed professional evaluates.';

/** What concrete is held against: its series of strength tests, and cores out of it. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...STRENGTH_TESTS,
    id: 'running-average',
    title: 'Mean of three in a row',
    asks: 'Every mean of three in a row at least',
    population: 'three in a row',
    statistic: 'mean',
    limit: { asked: 'specifiedStrength' },
    compare: 'unrounded',
  },
  // A single test is compared as reported: that is the figure the reader of the report can check.
  {
    ...STRENGTH_TESTS,
    id: 'individual',
    title: 'Single test',
    asks: 'No single test below',
    population: 'each',
    statistic: 'value',
    limit: ({ asked, limits, system }) => {
      const specified = asked('specifiedStrength');
      return specified && individualLimit(specified, system, limits);
    },
    compare: 'as reported',
  },
  {
    id: 'core-mean',
    title: 'The mean at least',
    asks: 'Mean of the cores at least',
    source: ACI_26_12_6,
    quantity: 'core strength',
    by: ['core-compression'],
    population: 'set',
    statistic: 'mean',
    holds: 'at least',
    limit: { asked: 'specifiedStrength', share: 'core.mean-share' },
    compare: 'unrounded',
    count: 'core.count',
    whenNot: ERRATIC,
  },
  {
    id: 'core-each',
    title: 'Each core at least',
    asks: 'No core below',
    source: ACI_26_12_6,
    quantity: 'core strength',
    by: ['core-compression'],
    population: 'set',
    statistic: 'least',
    holds: 'at least',
    limit: { asked: 'specifiedStrength', share: 'core.single-share' },
    compare: 'unrounded',
    count: 'core.count',
    whenNot: ERRATIC,
  },
];
