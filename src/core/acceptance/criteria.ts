import type { Limits } from '../limits';
import { type Exact, exact, type System } from '../quantity';
import { standard } from '../working';
import type { Criterion } from './criterion';

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

/** What a project asks of a group of pieces of rock; the method itself has no limit of acceptance. */
const ROCK = {
  source: standard('project specification'),
  quantity: 'point load strength index',
  by: ['point-load'],
  population: 'set',
  holds: 'at least',
  compare: 'unrounded',
} as const;

const ERRATIC = 'Further cores where results are erratic, else the licensed professional evaluates.';

/** Every criterion by its id. */
export const CRITERIA = {
  'running-average': {
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
  individual: {
    ...STRENGTH_TESTS,
    id: 'individual',
    title: 'Single test',
    asks: 'No single test below',
    population: 'each',
    statistic: 'value',
    limit: (asked, limits, system) => {
      const specified = asked('specifiedStrength');
      return specified && individualLimit(specified, system, limits);
    },
    compare: 'as reported',
  },
  'core-mean': {
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
  'core-each': {
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
  'rock-index-mean': {
    ...ROCK,
    id: 'rock-index-mean',
    title: 'Mean index',
    asks: 'Mean index of a group at least',
    statistic: 'mean',
    limit: { asked: 'leastIndex' },
  },
  'rock-index-least': {
    ...ROCK,
    id: 'rock-index-least',
    title: 'Lowest index',
    asks: 'No piece below',
    statistic: 'least',
    limit: { asked: 'leastPiece' },
  },
  'rock-estimate': {
    ...ROCK,
    id: 'rock-estimate',
    title: 'Estimated strength',
    asks: 'Estimated strength of a group at least',
    quantity: 'estimated strength',
    statistic: 'value',
    limit: { asked: 'leastStrength' },
  },
} as const satisfies Record<string, Criterion>;

export type CriterionId = keyof typeof CRITERIA;

/** The criteria of some ids, in their order; ids that are none are left out. */
export function criteriaOf(ids: readonly string[]): Criterion[] {
  return ids.flatMap((id) => (Object.hasOwn(CRITERIA, id) ? [CRITERIA[id as CriterionId]] : []));
}

/** The criterion of an id; undefined when there is none. */
export function findCriterion(id: string): Criterion | undefined {
  return criteriaOf([id])[0];
}
