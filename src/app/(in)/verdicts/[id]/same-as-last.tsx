import { Box, Button, Typography } from '@mui/material';
import { DateTime } from 'luxon';
import type { Limits } from '@/core/limits';
import type { SourceRule } from '@/core/material/contract';
import { chartRules, type SeriesOfSource, scatterFacts, sourceUnit } from '@/core/uniformity';
import { ageText } from '@/core/windows';
import type { Standing } from '@/server/queries/specification';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { dayTime } from '@/ui/time';
import { PeriodReport } from '@/ui/views/PeriodReport';
import { type SourceShown, Sources } from '@/ui/views/Sources';

/** Whether each source is still what it was: its charts, its scatter, and what was decided of its results. */
export function SameAsLast({
  rule,
  age,
  sources,
  standing: { mix, job },
  limits,
  canDecide,
}: {
  rule: SourceRule;
  /** Hours. */
  age: number;
  sources: readonly SeriesOfSource[];
  standing: Standing;
  limits: Limits;
  canDecide: boolean;
}) {
  const about = sourceUnit(job.system, rule.alone?.unit);
  const { unit, places, shown } = about;
  const day = (at: number): string => dayTime(new Date(at), job.zone).slice(4, -6);
  const told = sources.filter(({ points, expected }) => points.length + expected.length > 0);
  const sampled = told.flatMap(({ points }) => points.map(({ sampledAt }) => sampledAt));
  const isoDay = (at: number): string =>
    Number.isFinite(at) ? (DateTime.fromMillis(at, { zone: job.zone }).toISODate() ?? '') : '';
  const formal = limits.number('uniformity.results', 'US').toNumber();
  return (
    <Card
      title="Same as last time?"
      actions={
        told.length > 0 ? (
          <Button href={`/api/sources/${mix.id}?age=${age}`} variant="outlined">
            Export CSV
          </Button>
        ) : null
      }
    >
      <Box component="nav" aria-label="Age" sx={{ display: 'flex', gap: 2, mb: 1 }}>
        {rule.ages.map((hours) =>
          hours === age ? (
            <Typography key={hours} aria-current="page" sx={{ fontWeight: 700 }}>
              {`at ${ageText(hours)}`}
            </Typography>
          ) : (
            <TextLink key={hours} href={`/verdicts/${mix.id}?age=${hours}`}>
              {`at ${ageText(hours)}`}
            </TextLink>
          ),
        )}
      </Box>
      {told.length === 0 ? (
        <Empty>{`Nothing was tested at ${ageText(age)} yet. A source is followed from its first result on.`}</Empty>
      ) : (
        <Sources
          unit={unit}
          places={places}
          rules={chartRules(limits)}
          canDecide={canDecide}
          sources={told.map(
            ({ source, points, charts, scatter, expected }): SourceShown => ({
              name: `${source}, from ${day(points[0]?.sampledAt ?? 0)}`,
              charts: charts ?? null,
              points: points.map((point) => ({
                ...{ sampleId: point.sampleId, label: point.label, day: day(point.sampledAt) },
                ...{ value: Number(point.value), left: point.counts === 'out', changed: point.changed },
                decisions: point.decisions.map(({ words }) => words),
              })),
              facts: scatterFacts(scatter, about, formal),
              remarks: scatter?.remarks ?? [],
              expected: expected.map((each) => ({
                ...{ sampleId: each.sampleId, label: each.label, look: each.look },
                words: `${shown(each.early)} at ${ageText(rule.early)}: about ${shown(each.expected)} ${unit} at ${ageText(age)}, nine in ten between ${shown(each.low)} and ${shown(each.high)}.`,
              })),
            }),
          )}
        />
      )}
      {told.length > 0 ? (
        <PeriodReport
          href={`/api/sources/${mix.id}/period?age=${age}`}
          first={isoDay(Math.min(...sampled))}
          last={isoDay(Math.max(...sampled))}
        />
      ) : null}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        ASTM C917. A chart accepts and rejects nothing: it says when to look, at the own tests first.
      </Typography>
    </Card>
  );
}
