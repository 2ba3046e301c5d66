import { DateTime } from 'luxon';
import { periodSections } from '@/core/report/period';
import { seriesOfSources, sourceUnit } from '@/core/uniformity';
import { ageText } from '@/core/windows';
import type { Queryable } from '@/db/client';
import { dayBound } from '../day-bound';
import { Invalid, NotFound } from '../errors';
import { ageOf, resultsOfSources } from '../queries/sources';
import { specificationOf } from '../queries/specification';
import { limitsNow } from '../run-setup';
import { laboratoryNow } from '../settings';
import type { Actor } from '../use-case';
import { sectionsPdf } from './pdf';

const NOTES = [
  'ASTM C917. A chart accepts and rejects nothing: it says when to look, at the own tests first.',
  'The scatter is that of the results of the period; limits are those of the baseline of each series, which stays.',
];

/**
 * The report of a period of the sources of a product.
 * @param asked its age in hours, first and last day where the job is
 * @throws Invalid for days that are none or stand the wrong way round, NotFound where nothing of it is followed
 */
export async function periodReport(
  db: Queryable,
  actor: Actor,
  id: string,
  asked: { readonly age: string | undefined; readonly from: string; readonly to: string },
): Promise<{ readonly name: string; readonly pdf: Buffer }> {
  const { mix, job, material } = await specificationOf(db, actor, id);
  const rule = material.source?.({ ...mix.asked });
  if (!rule) throw new NotFound('Sources of this specification');
  const [from, to] = [
    dayBound(asked.from, job.zone, 'from').getTime(),
    dayBound(asked.to, job.zone, 'to').getTime(),
  ];
  if (to < from) throw new Invalid({ to: 'The last day is before the first.' });
  const age = ageOf(rule, asked.age);
  const limits = await limitsNow(db, job);
  const results = await resultsOfSources(db, actor, { mix, job }, rule, { ageHours: age, limits });
  const within = results.filter(({ sampledAt }) => sampledAt >= from && sampledAt <= to);
  const wholes = seriesOfSources(results, limits);
  const about = {
    ...{ ...sourceUnit(job.system, rule.alone?.unit), age: ageText(age) },
    formal: limits.number('uniformity.results', 'US').toNumber(),
    day: (at: number) => DateTime.fromMillis(at, { zone: job.zone }).toFormat('d LLL yyyy'),
  };
  const sections = seriesOfSources(within, limits).flatMap((series) => {
    const [first] = series.points;
    const whole = wholes.find(
      ({ source, points }) =>
        source === series.source && points.some(({ sampleId }) => sampleId === first?.sampleId),
    );
    return whole ? periodSections({ whole, within: series }, about) : [];
  });
  const period = `${about.day(from)} to ${about.day(to)}`;
  const { name: laboratory } = await laboratoryNow(db);
  const pdf = await sectionsPdf(
    {
      ...{ laboratory, number: mix.code, title: 'Report of a period' },
      foot: `${job.name}, ${mix.title}, ${period}`,
    },
    [
      ['Job', `${job.number} ${job.name}`],
      ['Product', `${mix.code} ${mix.title}`],
      ['Period', period],
    ],
    sections.length > 0
      ? sections
      : [{ kind: 'list', title: 'Results', items: [], none: 'None in this period.' }],
    NOTES,
  );
  return { name: `${mix.code}-${asked.from}-${asked.to}.pdf`, pdf };
}
