import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { findCriterion, severalWords, withinClass, withinTrend } from '@/core/acceptance';
import { measureWords } from '@/core/material/measure-words';
import { decimalsOf, exact, plainOf, withThousands } from '@/core/quantity';
import { withinSpreads } from '@/core/statistics';
import { gainOf } from '@/core/strength-gain';
import { sourceUnit } from '@/core/uniformity';
import { ageText } from '@/core/windows';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId, pageNumber } from '@/server/page';
import { lotsOverTime } from '@/server/queries/lots-over-time';
import { madeWith } from '@/server/queries/made-with';
import { mixPage } from '@/server/queries/series';
import { ageOf, sheetsOfSources, sourcesOf } from '@/server/queries/sources';
import { specificationOf, standingsOf } from '@/server/queries/specification';
import { limitsNow } from '@/server/run-setup';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { Pages } from '@/ui/parts/Pages';
import { VerdictMark } from '@/ui/parts/Verdict';
import { dayTime } from '@/ui/time';
import { Beside } from '@/ui/views/Beside';
import { FollowUp } from '@/ui/views/FollowUp';
import { MixChart } from '@/ui/views/MixChart';
import { StrengthGain } from '@/ui/views/StrengthGain';
import { WithinChart } from '@/ui/views/WithinChart';
import { DoesItFollow } from './does-it-follow';
import { SameAsLast } from './same-as-last';
import { SheetsOverLots } from './sheets';
import { StandingOf } from './standing';

export const metadata: Metadata = { title: 'Verdicts' };

/** Hours. */
const AT_28_DAYS = 672;

/** How a specification stands: a series in order where it makes one, else sample by sample. */
export default async function VerdictPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ page?: string; low?: string; series?: string; age?: string }>;
}) {
  const id = pageId((await params).id);
  const asked = await searchParams;
  const actor = await pageActor();
  const db = readingOnce(database());
  const { material } = await pageData(() => specificationOf(db, actor, id));
  if (!material.series) {
    const [standing] = await pageData(() => standingsOf(db, actor, [id]));
    if (!standing) return null;
    const over = await lotsOverTime(db, actor, standing, material);
    const source = material.source?.({ ...standing.mix.asked });
    const age = source && ageOf(source, asked.age);
    const limits = await limitsNow(db, standing.job);
    const sources =
      source && age ? await sourcesOf(db, actor, standing, source, { ageHours: age, limits }) : [];
    const sheets = source ? await sheetsOfSources(db, actor, standing, source, limits) : [];
    const made = source?.madeWith
      ? await madeWith(
          db,
          actor,
          standing,
          source.madeWith,
          sources.flatMap(({ points }) =>
            points.map(({ sampledAt, value }) => ({ at: sampledAt, value: Number(value) })),
          ),
        )
      : [];
    return (
      <StandingOf standing={standing} material={material} over={over}>
        {source && age ? (
          <SameAsLast
            rule={source}
            age={age}
            sources={sources}
            standing={standing}
            limits={limits}
            canDecide={actor.role !== 'client' && actor.role !== 'field'}
          />
        ) : null}
        <SheetsOverLots trends={sheets} />
        {source?.madeWith && age ? (
          <DoesItFollow
            word={source.madeWith.word}
            made={made}
            code={standing.mix.code}
            ages={[age, source.madeWith.ageHours]}
            units={[
              sourceUnit(standing.job.system, source.alone?.unit).unit,
              sourceUnit(standing.job.system).unit,
            ]}
          />
        ) : null}
      </StandingOf>
    );
  }
  const page = pageNumber(asked.page);
  const series = await pageData(() =>
    mixPage(db, actor, id, page, { series: asked.series, allLow: asked.low === 'all' }),
  );
  const { mix, job, asks, drawn, listed, means, singles, low, excluded, limits, rule, all } = series;
  const { several } = series;
  const over = several ? severalWords(several) : '';
  const hereWith = (more: string): string =>
    `/verdicts/${mix.id}${queryOf([all[0] === rule ? '' : `series=${rule.id}`, more])}`;
  const size = series.within?.size ?? 0;
  const within = series.within && withinSpreads([series.within.spread], size);
  const alike = drawn.filter(({ spread, members }) => spread !== null && members === size);
  const spreads = alike.map(({ spread }) => ({
    range: exact(spread?.range ?? 0),
    mean: exact(spread?.mean ?? 0),
  }));
  const trend = withinTrend(spreads, size, limits);
  const last = trend.at(-1);
  const span = limits.number('within.sets', 'US').toFixed();
  const full = series.within?.count ?? 0;
  // Shares of the strength at 28 days say nothing of another age.
  const early =
    rule.within && Number(askedText(mix.asked, rule.age)) === AT_28_DAYS
      ? gainOf(drawn, Number(asks.specified), job.system === 'US' ? 'psi' : 'MPa', limits)
      : undefined;
  const gain = actor.role !== 'client' && early && early.foreseen.length > 0 ? early : undefined;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">
          <span className="mono">{mix.code}</span>
          {` ${mix.title}`}
        </Typography>
        <Box sx={{ fontSize: '1.25rem' }}>
          <VerdictMark state={series.state} />
        </Box>
        <Typography color="text.secondary">
          {`${series.waiting} waiting. ${measureWords(askedText(mix.asked, rule.asked))} at ${ageText(Number(askedText(mix.asked, rule.age)))}, `}
          <TextLink href={`/jobs/${job.id}`}>{job.name}</TextLink>
        </Typography>
      </Box>
      {all.length > 1 ? (
        <Box component="nav" aria-label="Series" sx={{ display: 'flex', gap: 2 }}>
          {all.map(({ id: own, title }) =>
            own === rule.id ? (
              <Typography key={own} aria-current="page" sx={{ fontWeight: 700 }}>
                {title}
              </Typography>
            ) : (
              <TextLink key={own} href={`/verdicts/${mix.id}?series=${own}`}>
                {title}
              </TextLink>
            ),
          )}
        </Box>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 320px' },
          alignItems: 'start',
        }}
      >
        <Card title={`${rule.title} in sampling order, ${asks.unit}`}>
          {series.count === 0 ? (
            <Empty>No specimens of the specified age have been made of this mix yet.</Empty>
          ) : (
            <MixChart
              unit={asks.unit}
              test={rule.test}
              mean={several?.unit ? null : over}
              specified={Number(asks.specified)}
              floor={Number(asks.individualLimit)}
              floorWord={several?.unit ? 'within from' : 'single test'}
              symbol={rule.symbol}
              points={drawn.map((row) => ({
                label: row.label,
                day: dayTime(row.sampledAt, job.zone).slice(4, -6),
                value: row.value === null ? null : Number(row.value),
                state: row.state,
                average: windowValue(means.get(row.id)?.statistic),
                singles: row.singles.map(Number),
              }))}
            />
          )}
        </Card>
        <Stack spacing={2}>
          <Card title="Next">
            {asks.needed ? (
              <>
                <Typography className="mono" sx={{ fontSize: '2rem' }}>
                  {asks.needed.text}
                </Typography>
                <Typography>
                  {`is what the next result must reach, by the criterion “${findCriterion(asks.needed.by)?.title ?? ''}”.`}
                </Typography>
              </>
            ) : (
              <Typography color="text.secondary">
                {several?.unit
                  ? 'A lot is judged by all its tests together: what one more must reach hangs on what the others are.'
                  : 'After two results in a row it stands here what the next must reach.'}
              </Typography>
            )}
          </Card>
          <Card title="Governing">
            <Typography>{series.governing ?? 'Nothing is decided yet.'}</Typography>
          </Card>
          {rule.within ? (
            <Card title="Within the sets">
              <Typography>
                {last
                  ? `Coefficient of variation ${last.toFixed(1)} % over the last ${span} sets: ${withinClass(last, limits)}. ${within?.coefficient.toFixed(1)} % over all ${full}. ACI 214R, field.`
                  : within
                    ? `Coefficient of variation ${within.coefficient.toFixed(1)} % over ${full} full sets; fewer than ${span}, so look at it with care. ACI 214R.`
                    : 'It stands here once full sets are broken: how well the laboratory repeats itself.'}
              </Typography>
              {trend.length > 1 ? (
                <WithinChart
                  span={span}
                  values={trend.map((value) => value.toNumber())}
                  labels={alike.slice(-trend.length).map(({ label }) => label)}
                  lines={(
                    ['within.excellent', 'within.very-good', 'within.good', 'within.fair'] as const
                  ).map((id) => ({
                    at: limits.number(id, 'US').toNumber(),
                    word: id.slice('within.'.length).replace('-', ' '),
                  }))}
                />
              ) : null}
            </Card>
          ) : null}
          <Card title="Criteria">
            {series.criteria.map((each) => (
              <Typography key={each.criterion} variant="body2">
                {`${findCriterion(each.criterion)?.asks ?? each.criterion} ${asks.limits[each.criterion] ?? ''}; ${each.designation}, ${each.edition}.`}
              </Typography>
            ))}
            <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
              Arithmetic against the named criteria. Acceptance is the engineer’s.
            </Typography>
          </Card>
        </Stack>
      </Box>
      {gain ? (
        <Card title={`28 days from ${gain.ageHours / 24}`}>
          <StrengthGain gain={gain} unit={asks.unit} asked={Number(asks.specified)} />
        </Card>
      ) : null}
      {rule.beside && series.pairs.length > 0 ? (
        <Card title="Beams and the cylinders beside them">
          <Beside
            pairs={series.pairs}
            fewest={limits.number(rule.beside.pairs, job.system).toNumber()}
            usual={limits.number(rule.beside.usual, job.system).toNumber()}
            unit={job.system === 'US' ? 'psi' : 'MPa'}
            symbol={rule.beside.symbol}
          />
        </Card>
      ) : null}
      {actor.role === 'client'
        ? null
        : low.map(({ sampleId, label, sentence }) => (
            <FollowUp
              key={sampleId}
              sampleId={sampleId}
              title={`Low test ${label}: ${sentence}`}
              canRecord={actor.role !== 'field'}
              steps={rule.lowSteps.map((step) => ({
                ...step,
                done: series.followUps
                  .filter((each) => each.sampleId === sampleId && each.stepId === step.id)
                  .map((each) => `${dayTime(each.at, job.zone)}, ${each.byName}: ${each.note}`),
              }))}
            />
          ))}
      {actor.role !== 'client' && series.lowBefore > 0 ? (
        <Typography>
          {asked.low === 'all' ? (
            `${series.lowBefore} low tests before these; each stands with its sample.`
          ) : (
            <TextLink href={hereWith('low=all')}>{`and ${series.lowBefore} low tests before`}</TextLink>
          )}
        </Typography>
      ) : null}
      {series.lowMeans > 0 ? (
        <Card title={`${over} below ${several?.unit ? 'what is asked' : rule.symbol}`}>
          <Typography>{rule.lowMean}</Typography>
        </Card>
      ) : null}
      <Card title="Tests">
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small">
            <TableHead>
              <TableRow>
                {[
                  'Sample',
                  'Sampled',
                  'Element',
                  ...(rule.within ? ['Early'] : []),
                  'Test',
                  ...(several?.unit ? [] : ['Single']),
                  over,
                  'Verdict',
                ].map((word) => (
                  <TableCell key={word}>{word}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {listed.toReversed().map((row) => {
                const single = singles.get(row.id);
                const average = means.get(row.id);
                return (
                  <TableRow key={row.id}>
                    <TableCell className="mono">
                      <TextLink href={`/samples/${row.sampleId}`}>{row.label}</TextLink>
                    </TableCell>
                    <TableCell sx={{ whiteSpace: 'nowrap' }}>{dayTime(row.sampledAt, job.zone)}</TableCell>
                    <TableCell>{row.element}</TableCell>
                    {rule.within ? (
                      <TableCell className="mono">
                        {row.early ? `${row.early.text} at ${ageText(row.early.ageHours)}` : ''}
                      </TableCell>
                    ) : null}
                    <TableCell className="mono" sx={{ fontWeight: 500 }}>
                      {row.value ? withThousands(row.value) : row.state}
                    </TableCell>
                    {several?.unit ? null : (
                      <TableCell>{single ? <VerdictMark state={single.state} /> : ''}</TableCell>
                    )}
                    <TableCell className="mono">
                      {average?.statistic
                        ? plainOf(
                            exact(average.statistic).toDecimalPlaces(
                              decimalsOf(limits.number(rule.step, job.system)) + (several?.unit ? 1 : 0),
                            ),
                            several?.unit?.[job.system] ?? 'one',
                          )
                        : ''}
                    </TableCell>
                    <TableCell>{average ? <VerdictMark state={average.state} /> : ''}</TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        </Box>
        <Pages
          page={page}
          pages={series.pages}
          words={`${series.count} tests, the newest first`}
          href={hereWith('')}
        />
        {excluded.labels.length > 0 ? (
          <Typography variant="body2" sx={{ mt: 1 }}>
            {`Without a valid result, left out of the order: ${excluded.labels.join(', ')}${excluded.more > 0 ? `, and ${excluded.more} before` : ''}.`}
          </Typography>
        ) : null}
      </Card>
    </Stack>
  );
}

function queryOf(parts: readonly string[]): string {
  const said = parts.filter(Boolean).join('&');
  return said === '' ? '' : `?${said}`;
}

/** What is asked for by one of its fields, as it is stored. */
function askedText(asked: object, name: string): string {
  return String({ ...asked }[name as keyof typeof asked] ?? '');
}

function windowValue(statistic: string | null | undefined): number | null {
  return statistic ? Number(statistic) : null;
}
