import type { Criterion } from '../../acceptance/criterion';
import { silentLimit } from '../../methods/slab/floors';
import { EMISSION, SEEN } from '../../methods/slab/quantities';
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
  {
    id: 'slab-emission',
    title: 'Emission of every dish',
    asks: 'No dish above',
    source: standard('project specification'),
    quantity: EMISSION,
    by: ['slab-emission'],
    population: 'set',
    statistic: 'greatest',
    holds: 'at most',
    limit: ({ asked, limits, system }) => {
      const row = limits.of('floor.emission', system);
      return asked('emissionMost') ?? (row.high && { value: row.high, source: row.source });
    },
    compare: 'rounded',
    count: 'planned',
    early: true,
    whenNot: 'The floor waits, or its maker, another product or a membrane is asked about it.',
  },
  {
    id: 'slab-sheet',
    title: 'Under every sheet',
    asks: 'Nothing seen:',
    source: standard('ASTM D4263'),
    quantity: SEEN,
    by: ['slab-sheet'],
    population: 'set',
    statistic: 'greatest',
    holds: 'at most',
    limit: { row: 'sheet.seen' },
    compare: 'rounded',
    count: 'planned',
    early: true,
    whenNot: 'Moisture is there: measure humidity in the slab.',
  },
];
