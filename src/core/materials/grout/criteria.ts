import type { Criterion } from '../../acceptance/criterion';
import { largest } from '../../quantity';
import { standard } from '../../working';

/** What grout is held against: its specification, and the strength of masonry where that is fixed by its units. */
export const CRITERIA: readonly Criterion[] = [
  {
    id: 'grout-strength',
    title: 'Strength of grout',
    asks: 'Mean strength of the grout prisms at least',
    source: standard('ASTM C476'),
    quantity: 'compressive strength',
    by: ['grout-prism'],
    population: 'set',
    statistic: 'mean',
    holds: 'at least',
    compare: 'rounded',
    limit: ({ asked, said, limits, system }) => {
      if (said('groutKind') === undefined) return undefined;
      const own = [asked('groutStrength'), asked('masonryStrength')].flatMap((each) => each ?? []);
      return largest([limits.number('grout.strength', system), ...own]);
    },
    count: 'grout-prism.count',
  },
];
