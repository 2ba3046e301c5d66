import type { Criterion, LimitAbout, SourcedLimit } from '../../acceptance/criterion';
import { standard } from '../../working';
import { mostRow, standardOf, strengthRow } from './standards';

/** The row that a set of its age is held against, as its type has it. */
function byAge(which: 'least' | 'most'): (about: LimitAbout) => SourcedLimit | undefined {
  return ({ said, limits, system, ageHours }) => {
    const type = said('cementType');
    const own = standardOf(type);
    if (!type || !own || ageHours === undefined) return undefined;
    const id =
      which === 'least'
        ? strengthRow(type, ageHours, said('ordered28') === 'yes')
        : ageHours === 672
          ? mostRow(type)
          : undefined;
    return (
      id && { value: limits.number(id, own.school === 'astm' ? system : 'SI'), source: standard(own.name) }
    );
  };
}

const STRENGTH = {
  by: ['mortar-cube'],
  population: 'set',
  statistic: 'mean',
  quantity: 'compressive strength',
  // ASTM E29 (from memory): the reported value is held against the limit.
  compare: 'rounded',
} as const;

/** What the cubes of a cement are held against, set by set. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...STRENGTH,
    id: 'cement-strength',
    title: 'Strength of the cement',
    asks: 'Mean strength of its cubes at least',
    source: standard('ASTM C150/C150M'),
    holds: 'at least',
    limit: byAge('least'),
    whenNot:
      'Look at the test first: range, age, flow, moulds, press. Then again on the reserve of the sample; tell the client now.',
  },
  {
    ...STRENGTH,
    id: 'cement-strength-most',
    title: 'Greatest strength of the class',
    asks: 'Mean strength of its cubes at most',
    source: standard('EN 197-1'),
    holds: 'at most',
    limit: byAge('most'),
    whenNot: 'It is stronger than its class: the producer has to know.',
  },
];
