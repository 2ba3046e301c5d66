import type { Criterion, LimitAbout, SourcedLimit } from '../../acceptance/criterion';
import { standard } from '../../working';
import { standardOf, strengthRow } from './standards';

/** The row that cubes of an age are held against; of other schools they are other cubes, and are held against nothing. */
function byAge({ said, limits, system, ageHours }: LimitAbout): SourcedLimit | undefined {
  const type = said('cementType');
  const own = standardOf(type);
  if (!type || own?.school !== 'astm' || ageHours === undefined) return undefined;
  const id = strengthRow(type, ageHours, said('ordered28') === 'yes', said('orderedHeat') === 'yes');
  return id && { value: limits.number(id, system), source: standard(own.name) };
}

/** What the cubes of a cement are held against, set by set. */
export const CRITERIA: readonly Criterion[] = [
  {
    id: 'cement-strength',
    title: 'Strength of the cement',
    asks: 'Mean strength of its cubes at least',
    source: standard('ASTM C150/C150M'),
    by: ['mortar-cube'],
    population: 'set',
    statistic: 'mean',
    quantity: 'compressive strength',
    // ASTM E29 (from memory): the reported value is held against the limit.
    compare: 'rounded',
    holds: 'at least',
    limit: byAge,
    whenNot:
      'Look at the test first: range, age, flow, moulds, press. Then again on the reserve of the sample; tell the client now.',
  },
];
