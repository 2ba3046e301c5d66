import type { Criterion, CriterionLimit } from '../../acceptance/criterion';
import { STRENGTH } from '../../methods/pull/quantities';
import { ruleNamed } from '../../methods/pull/standards';
import { standard } from '../../working';

const PULLS = {
  source: standard('project specification'),
  quantity: STRENGTH,
  by: ['pull-off'],
  population: 'set',
  holds: 'at least',
  count: 'planned',
} as const;

/** What one pull has to bear: by its specification; a coating or a fibre sheet on concrete of which nothing is said, what is common. */
const each: Extract<CriterionLimit, (...given: never[]) => unknown> = ({ asked, said, limits, system }) => {
  const own = asked('pullOffLeast');
  if (own) return own;
  const silent = said('floor') === 'resin' ? 'pull.coating-concrete' : ruleNamed(said('pullBy')).silent;
  const row = silent && limits.of(silent, system);
  return row?.low ? { value: row.low, source: row.source } : undefined;
};

/** What pulls are held against: each, and their mean where that is asked for. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...PULLS,
    id: 'pull-off-each',
    title: 'Every pull',
    asks: 'No pull below',
    statistic: 'least',
    limit: each,
    compare: 'rounded',
    early: true,
    repeats: each,
    whenNot: 'The area waits for the engineer. More pulls tell how far it reaches, they do not overturn it.',
  },
  {
    ...PULLS,
    id: 'pull-off-mean',
    title: 'Mean of the pulls',
    asks: 'Mean not below',
    statistic: 'mean',
    limit: { asked: 'pullOffMean' },
    compare: 'rounded',
    repeats: (about) => each(about) ?? about.asked('pullOffMean'),
    whenNot: 'The area waits for the engineer.',
  },
];
