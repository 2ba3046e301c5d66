import type { Criterion } from '../../acceptance/criterion';
import { standard } from '../../working';

/** What a project asks of a group of pieces of rock; the method itself has no limit of acceptance. */
const ROCK = {
  source: standard('project specification'),
  quantity: 'point load strength index',
  by: ['point-load'],
  population: 'set',
  holds: 'at least',
  compare: 'unrounded',
} as const;

const CORES = { ...ROCK, quantity: 'uniaxial strength', by: ['rock-compression'] } as const;

export const CRITERIA: readonly Criterion[] = [
  {
    ...ROCK,
    id: 'rock-index-mean',
    title: 'Mean index',
    asks: 'Mean index of a group at least',
    statistic: 'mean',
    limit: { asked: 'leastIndex' },
  },
  {
    ...ROCK,
    id: 'rock-index-least',
    title: 'Lowest index',
    asks: 'No piece below',
    statistic: 'least',
    limit: { asked: 'leastPiece' },
  },
  {
    ...ROCK,
    id: 'rock-estimate',
    title: 'Estimated strength',
    asks: 'Estimated strength of a group at least',
    quantity: 'estimated strength',
    statistic: 'value',
    limit: { asked: 'leastStrength' },
  },
  {
    ...CORES,
    id: 'rock-cores-mean',
    title: 'Mean strength of cores',
    asks: 'Mean strength of a group of cores at least',
    statistic: 'mean',
    limit: { asked: 'leastCores' },
  },
  {
    ...CORES,
    id: 'rock-cores-least',
    title: 'Lowest strength of a core',
    asks: 'No core below',
    statistic: 'least',
    limit: { asked: 'leastCore' },
  },
];
