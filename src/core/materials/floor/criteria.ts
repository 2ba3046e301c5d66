import type { Criterion } from '../../acceptance/criterion';
import { silentLimit } from '../../methods/slab/floors';
import { CARBIDE, EMISSION, SEEN, UNDER_BOX } from '../../methods/slab/quantities';
import { lessUncertainty } from '../../methods/slab/reading';
import { screedLimit } from '../../methods/slab/screeds';
import { standard } from '../../working';

/** What they have in common: every point of a zone, the greatest decides, one above its limit before the others are there. */
const EVERY = {
  source: standard('project specification'),
  population: 'set',
  statistic: 'greatest',
  holds: 'at most',
  compare: 'rounded',
  count: 'planned',
  early: true,
  whenNot: 'The floor waits, or its maker, another product or a membrane is asked about it.',
} as const;

/** What a slab is held against before its floor goes on: every hole, never their mean. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...EVERY,
    id: 'slab-humidity',
    title: 'Humidity of every hole',
    asks: 'No hole above',
    quantity: 'relative humidity',
    by: ['slab-humidity'],
    limit: ({ asked, said, limits, system }) => {
      const own = asked('humidityMost');
      const added = asked('uncertainty', 'percent');
      if (own) return lessUncertainty(own, added);
      const silent = silentLimit(said('floor'), limits, system);
      return silent && { ...silent, value: lessUncertainty(silent.value, added) };
    },
  },
  {
    ...EVERY,
    id: 'surface-hood',
    title: 'Humidity under every box',
    asks: 'No box above',
    quantity: UNDER_BOX,
    by: ['surface-hood'],
    limit: ({ asked, limits, system }) => {
      const row = limits.of('floor.hood', system);
      return asked('hoodMost') ?? (row.high && { value: row.high, source: row.source });
    },
  },
  {
    ...EVERY,
    id: 'carbide',
    title: 'Carbide moisture of every sample',
    asks: 'No sample above',
    quantity: CARBIDE,
    by: ['carbide'],
    limit: ({ asked, said, limits, system }) =>
      asked('carbideMost') ?? screedLimit(said('screed'), limits, system),
  },
  {
    ...EVERY,
    id: 'slab-emission',
    title: 'Emission of every dish',
    asks: 'No dish above',
    quantity: EMISSION,
    by: ['slab-emission'],
    limit: ({ asked, limits, system }) => {
      const row = limits.of('floor.emission', system);
      return asked('emissionMost') ?? (row.high && { value: row.high, source: row.source });
    },
  },
  {
    ...EVERY,
    id: 'slab-sheet',
    title: 'Under every sheet',
    asks: 'Nothing seen:',
    source: standard('ASTM D4263'),
    quantity: SEEN,
    by: ['slab-sheet'],
    limit: { row: 'sheet.seen' },
    whenNot: 'Moisture is there: measure humidity in the slab.',
  },
];
