import type { Criterion } from '../../acceptance/criterion';
import { standard } from '../../working';

/** What prisms are held against: the strength of masonry that the documents ask for. */
export const CRITERIA: readonly Criterion[] = [
  {
    id: 'prism-strength',
    title: 'Strength of the masonry',
    asks: 'Mean strength of the masonry at least what is specified',
    source: standard('TMS 602'),
    quantity: 'masonry strength',
    by: ['prism-compression'],
    population: 'set',
    statistic: 'mean',
    holds: 'at least',
    compare: 'rounded',
    limit: { asked: 'masonryStrength' },
    count: 'prism.count',
  },
];
