import type { Criterion } from '../../acceptance/criterion';
import { silentLimit } from '../../methods/slab/floors';
import { standard } from '../../working';

/** What a slab is held against before its floor goes on: every hole, never their mean. */
export const CRITERIA: readonly Criterion[] = [
  {
    id: 'slab-humidity',
    title: 'Humidity of every hole',
    asks: 'No hole above',
    source: standard('project specification'),
    quantity: 'relative humidity',
    by: ['slab-humidity'],
    population: 'set',
    statistic: 'greatest',
    holds: 'at most',
    limit: ({ asked, said, limits, system }) =>
      asked('humidityMost') ?? silentLimit(said('floor'), limits, system),
    compare: 'rounded',
    count: 'planned',
    early: true,
    whenNot: 'The floor waits, or its maker, another product or a membrane is asked about it.',
  },
];
