import type { Criterion, LimitAbout, SourcedLimit } from '../../acceptance/criterion';
import { standard } from '../../working';
import { type CementSchool, mostRow, standardOf, strengthRow } from './standards';

/** The row that cubes of an age are held against; of other schools they are other cubes, and are held against nothing. */
const byAge =
  (school: CementSchool, end: 'least' | 'most') =>
  ({ said, limits, system, ageHours }: LimitAbout): SourcedLimit | undefined => {
    const type = said('cementType');
    const own = standardOf(type);
    if (!type || own?.school !== school || ageHours === undefined) return undefined;
    const id =
      end === 'least'
        ? strengthRow(type, ageHours, said('ordered28') === 'yes', said('orderedHeat') === 'yes')
        : ageHours === 672
          ? mostRow(type)
          : undefined;
    return id && { value: limits.number(id, system), source: standard(own.name) };
  };

const OF_CUBES = {
  title: 'Strength of the cement',
  population: 'set',
  statistic: 'mean',
  quantity: 'compressive strength',
  whenNot:
    'Look at the test first: range, age, flow, moulds, press. Then again on the reserve of the sample; tell the client now.',
} as const;

/** What the cubes of a cement are held against, set by set. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...OF_CUBES,
    id: 'cement-strength',
    asks: 'Mean strength of its cubes at least',
    source: standard('ASTM C150/C150M'),
    by: ['mortar-cube'],
    // ASTM E29 (from memory): the reported value is held against the limit.
    compare: 'rounded',
    holds: 'at least',
    limit: byAge('astm', 'least'),
  },
  // IS 269 (from memory): the least of a grade at each age, and the most of some at 28 days.
  ...(['least', 'most'] as const).map(
    (end): Criterion => ({
      ...OF_CUBES,
      id: end === 'least' ? 'cement-strength-is' : 'cement-most-is',
      asks: `Mean strength of its vibrated cubes ${end === 'least' ? 'at least' : 'at most'}`,
      source: standard('IS 269'),
      by: ['vibrated-cube'],
      compare: 'rounded',
      holds: end === 'least' ? 'at least' : 'at most',
      limit: byAge('is', end),
    }),
  ),
];
