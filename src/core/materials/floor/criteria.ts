import type { Criterion } from '../../acceptance/criterion';
import { silentLimit } from '../../methods/slab/floors';
import { CARBIDE, EMISSION, SEEN, UNDER_BOX } from '../../methods/slab/quantities';
import { lessUncertainty } from '../../methods/slab/reading';
import { screedLimit } from '../../methods/slab/screeds';
import { standard } from '../../working';

const WAITS = 'The floor waits, or its maker, another product or a membrane is asked about it.';

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
    limit: ({ asked, said, limits, system }) => {
      const own = asked('humidityMost');
      if (own) return lessUncertainty(own, asked);
      const silent = silentLimit(said('floor'), limits, system);
      return silent && { ...silent, value: lessUncertainty(silent.value, asked) };
    },
    compare: 'rounded',
    count: 'planned',
    early: true,
    whenNot: WAITS,
  },
  {
    id: 'surface-hood',
    title: 'Humidity under every box',
    asks: 'No box above',
    source: standard('project specification'),
    quantity: UNDER_BOX,
    by: ['surface-hood'],
    population: 'set',
    statistic: 'greatest',
    holds: 'at most',
    limit: ({ asked, limits, system }) => {
      const row = limits.of('floor.hood', system);
      return asked('hoodMost') ?? (row.high && { value: row.high, source: row.source });
    },
    compare: 'rounded',
    count: 'planned',
    early: true,
    whenNot: WAITS,
  },
  {
    id: 'carbide',
    title: 'Carbide moisture of every sample',
    asks: 'No sample above',
    source: standard('project specification'),
    quantity: CARBIDE,
    by: ['carbide'],
    population: 'set',
    statistic: 'greatest',
    holds: 'at most',
    limit: ({ asked, said, limits, system }) =>
      asked('carbideMost') ?? screedLimit(said('screed'), limits, system),
    compare: 'rounded',
    count: 'planned',
    early: true,
    whenNot: WAITS,
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
    whenNot: WAITS,
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
