import type { Criterion } from '../../acceptance/criterion';
import type { LimitId } from '../../limits';
import { standard } from '../../working';

const ROWS: Readonly<Record<string, LimitId>> = {
  M: 'mortar.m',
  S: 'mortar.s',
  N: 'mortar.n',
  O: 'mortar.o',
};

/** What mortar is held against: that of the laboratory only, and only where its properties are specified. */
export const CRITERIA: readonly Criterion[] = [
  {
    id: 'mortar-strength',
    title: 'Strength of mortar',
    asks: 'Mean strength of the cubes at least',
    source: standard('ASTM C270'),
    quantity: 'compressive strength',
    by: ['mortar-cube'],
    population: 'set',
    statistic: 'mean',
    holds: 'at least',
    compare: 'rounded',
    limit: ({ said, limits, system }) => {
      const row = ROWS[said('mortarType') ?? ''];
      // Field mortar gives its water to the units: its strength tells whether it stays the same, nothing else.
      return row && said('mortarBy') === 'property' && said('purpose') === 'laboratory'
        ? limits.number(row, system)
        : undefined;
    },
    count: 'mortar.count',
  },
];
