import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { findCriterion, LOW_STRENGTH_STEPS, withinClass, withinTrend } from '@/core/acceptance';
import { measureWords } from '@/core/material/measure-words';
import { exact, withThousands } from '@/core/quantity';
import { withinSpreads } from '@/core/statistics';
import { ageText } from '@/core/windows';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId, pageNumber } from '@/server/page';
import { mixSeries } from '@/server/queries/series';
import { materialOf, standingsOf } from '@/server/queries/specification';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { Pages } from '@/ui/parts/Pages';
import { VerdictMark } from '@/ui/parts/Verdict';
import { dayTime } from '@/ui/time';
import { FollowUp } from '@/ui/views/FollowUp';
import { MixChart } from '@/ui/views/MixChart';
import { WithinChart } from '@/ui/views/WithinChart';
import { StandingOf } from './standing';

export const metadata: Metadata = { title: 'Verdicts' };

/** Tests drawn, listed and gone into at once, the newest; every one of them counts in what is said above. */
const DRAWN = 200;
const LISTED = 60;
const LOW_LISTED = 12;

/** How a specification stands: a series in order where it makes one, else sample by sample. */
export default async function VerdictPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ page?: string }>;
}) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = readingOnce(database());
  const material = await pageData(() => materialOf(db, actor, id));
  if (!material.comesInLoads) {
    const [standing] = await pageData(() => standingsOf(db, actor, [id]));
    return standing ? <StandingOf standing={standing} material={material} /> : null;
  }
  const series = await pageData(() => mixSeries(db, actor, id));
  const { mix, job, rows, verdicts } = series;
  // Page 0 is the newest; each page before it is older.
  const page = pageNumber((await searchParams).page);
  const end = rows.length - page * LISTED;
  const listed = rows.slice(Math.max(0, end - LISTED), Math.max(0, end));
  const windowOf = new Map(verdicts.windows.map((verdict) => [verdict.members.at(-1), verdict]));
  const singleOf = new Map(verdicts.individuals.map((verdict) => [verdict.members[0], verdict]));
  const full = rows.filter(({ spread }) => spread !== null);
  const size = full[0]?.members ?? 0;
  const alike = full.filter(({ members }) => members === size);
  const spreads = alike.map(({ spread }) => ({
    range: exact(spread?.range ?? 0),
    mean: exact(spread?.mean ?? 0),
  }));
  const within = withinSpreads(spreads, size);
  const trend = withinTrend(spreads.slice(-DRAWN), size, series.limits);
  const last = trend.at(-1);
  const span = series.limits.number('within.sets', 'US').toFixed();
  const low = verdicts.individuals.filter(({ state }) => state === 'does not meet');
  const lowAverage = verdicts.windows.filter(({ state }) => state === 'does not meet');
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">
          <span className="mono">{mix.code}</span>
          {` ${mix.title}`}
        </Typography>
        <Box sx={{ fontSize: '1.25rem' }}>
          <VerdictMark state={verdicts.soFar.state} />
        </Box>
        <Typography color="text.secondary">
          {`${verdicts.soFar.waiting} waiting. ${measureWords(mix.asked.specifiedStrength)} at ${ageText(mix.asked.ageHours)}, `}
          <TextLink href={`/jobs/${job.id}`}>{job.name}</TextLink>
        </Typography>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 320px' },
          alignItems: 'start',
        }}
      >
        <Card title={`Strength tests in sampling order, ${verdicts.unit}`}>
          {rows.length === 0 ? (
            <Empty>No specimens of the specified age have been made of this mix yet.</Empty>
          ) : (
            <MixChart
              unit={verdicts.unit}
              specified={Number(verdicts.specified)}
              floor={Number(verdicts.individualLimit)}
              points={rows.slice(-DRAWN).map((row) => ({
                label: row.label,
                day: dayTime(row.sampledAt, job.zone).slice(4, -6),
                value: row.value === null ? null : Number(row.value),
                state: row.state,
                average: windowValue(windowOf.get(row.id)?.statistic),
                singles: row.singles.map(Number),
              }))}
            />
          )}
        </Card>
        <Stack spacing={2}>
          <Card title="Next">
            {verdicts.needed ? (
              <>
                <Typography className="mono" sx={{ fontSize: '2rem' }}>
                  {verdicts.needed.text}
                </Typography>
                <Typography>
                  {`is what the next result must reach, by the criterion “${findCriterion(verdicts.needed.by)?.title ?? ''}”.`}
                </Typography>
              </>
            ) : (
              <Typography color="text.secondary">
                After two results in a row it stands here what the next must reach.
              </Typography>
            )}
          </Card>
          <Card title="Governing">
            <Typography>{verdicts.governing?.sentence ?? 'Nothing is decided yet.'}</Typography>
          </Card>
          <Card title="Within the sets">
            <Typography>
              {last
                ? `Coefficient of variation ${last.toFixed(1)} % over the last ${span} sets: ${withinClass(last, series.limits)}. ${within?.coefficient.toFixed(1)} % over all ${spreads.length}. ACI 214R, field.`
                : within
                  ? `Coefficient of variation ${within.coefficient.toFixed(1)} % over ${spreads.length} full sets; fewer than ${span}, so look at it with care. ACI 214R.`
                  : 'It stands here once full sets are broken: how well the laboratory repeats itself.'}
            </Typography>
            {trend.length > 1 ? (
              <WithinChart
                span={span}
                values={trend.map((value) => value.toNumber())}
                labels={alike.slice(-trend.length).map(({ label }) => label)}
                lines={(['within.excellent', 'within.very-good', 'within.good', 'within.fair'] as const).map(
                  (id) => ({
                    at: series.limits.number(id, 'US').toNumber(),
                    word: id.slice('within.'.length).replace('-', ' '),
                  }),
                )}
              />
            ) : null}
          </Card>
          <Card title="Criteria">
            {series.criteria.map((each) => (
              <Typography key={each.criterion} variant="body2">
                {`${findCriterion(each.criterion)?.asks ?? each.criterion} ${withThousands(verdicts.limits[each.criterion] ?? '')} ${verdicts.unit}. ${each.designation}, ${each.edition}.`}
              </Typography>
            ))}
            <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
              Arithmetic against the named criteria. Acceptance is the engineer’s.
            </Typography>
          </Card>
        </Stack>
      </Box>
      {low.slice(-LOW_LISTED).map((verdict) => {
        const row = rows.find(({ id: rowId }) => rowId === verdict.members[0]);
        return row && actor.role !== 'client' ? (
          <FollowUp
            key={row.id}
            sampleId={row.sampleId}
            title={`Low test ${row.label}: ${verdict.sentence}`}
            canRecord={actor.role !== 'field'}
            steps={LOW_STRENGTH_STEPS.map((step) => ({
              ...step,
              done: series.followUps
                .filter((each) => each.sampleId === row.sampleId && each.stepId === step.id)
                .map((each) => `${dayTime(each.at, job.zone)}, ${each.byName}: ${each.note}`),
            }))}
          />
        ) : null;
      })}
      {lowAverage.length > 0 ? (
        <Card title="Mean of three below f′c">
          <Typography>
            The rule asks for steps to raise the average of later tests; it does not of itself ask for cores.
            Tell the engineer and the producer.
          </Typography>
        </Card>
      ) : null}
      <Card title="Tests">
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small">
            <TableHead>
              <TableRow>
                {['Sample', 'Sampled', 'Element', 'Early', 'Test', 'Single', 'Mean of three', 'Verdict'].map(
                  (word) => (
                    <TableCell key={word}>{word}</TableCell>
                  ),
                )}
              </TableRow>
            </TableHead>
            <TableBody>
              {listed.toReversed().map((row) => {
                const single = singleOf.get(row.id);
                const average = windowOf.get(row.id);
                return (
                  <TableRow key={row.id}>
                    <TableCell className="mono">
                      <TextLink href={`/samples/${row.sampleId}`}>{row.label}</TextLink>
                    </TableCell>
                    <TableCell sx={{ whiteSpace: 'nowrap' }}>{dayTime(row.sampledAt, job.zone)}</TableCell>
                    <TableCell>{row.element}</TableCell>
                    <TableCell className="mono">
                      {row.early ? `${row.early.text} at ${ageText(row.early.ageHours)}` : ''}
                    </TableCell>
                    <TableCell className="mono" sx={{ fontWeight: 500 }}>
                      {row.value ? withThousands(row.value) : row.state}
                    </TableCell>
                    <TableCell>{single ? <VerdictMark state={single.state} /> : ''}</TableCell>
                    <TableCell className="mono">
                      {average?.statistic
                        ? withThousands(
                            exact(average.statistic)
                              .toDecimalPlaces(verdicts.unit === 'psi' ? 0 : 1)
                              .toFixed(),
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
          pages={Math.ceil(rows.length / LISTED)}
          words={`${rows.length} tests, the newest first`}
          href={`/verdicts/${mix.id}`}
        />
        {verdicts.excluded.length > 0 ? (
          <Typography variant="body2" sx={{ mt: 1 }}>
            {`Without a valid result, left out of the order: ${verdicts.excluded
              .slice(-LISTED)
              .map(({ label }) => label)
              .join(
                ', ',
              )}${verdicts.excluded.length > LISTED ? `, and ${verdicts.excluded.length - LISTED} before` : ''}.`}
          </Typography>
        ) : null}
      </Card>
    </Stack>
  );
}

function windowValue(statistic: string | null | undefined): number | null {
  return statistic ? Number(statistic) : null;
}
