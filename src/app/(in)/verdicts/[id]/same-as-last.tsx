import { Box, Button, Typography } from '@mui/material';
import { DateTime } from 'luxon';
import type { Limits } from '@/core/limits';
import type { SourceRule } from '@/core/material/contract';
import { type Exact, withThousands } from '@/core/quantity';
import { acceptable, chartRules, type SeriesOfSource } from '@/core/uniformity';
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
  const unit = job.system === 'US' ? 'psi' : 'MPa';
  const places = job.system === 'US' ? 0 : 1;
  const shown = (value: Exact | number): string => withThousands(value.toFixed(places));
  const above = ({ count, mean, deviation }: NonNullable<SeriesOfSource['scatter']>): [string, string][] => {
    const found = acceptable(count, mean, deviation);
    return found
      ? [
          [
            'Nineteen in twenty above',
            `${shown(found.value)} ${unit}, mean less ${found.constant} times the scatter, as EN 197-1 reckons`,
          ],
        ]
      : [];
  };
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
              facts: scatter
                ? [
                    [
                      'Results',
                      `${scatter.count}${scatter.count < formal ? `, ${formal} for a formal report` : ''}`,
                    ],
                    ['Mean', `${shown(scatter.mean)} ${unit}`],
                    ['Scatter of all', `${shown(scatter.deviation)} ${unit}, ${scatter.share.toFixed(1)} %`],
                    [
                      'Of the laboratory',
                      scatter.testing
                        ? `${shown(scatter.testing.deviation)} ${unit}, ${scatter.testing.share.toFixed(1)} %, by ${scatter.pairs} pairs (by their ranges ${shown(scatter.testing.byRange)})`
                        : 'not known yet',
                    ],
                    [
                      'Of the source alone',
                      scatter.corrected
                        ? `${shown(scatter.corrected.deviation)} ${unit}, ${scatter.corrected.share.toFixed(1)} %`
                        : 'not told',
                    ],
                    ...above(scatter),
                  ]
                : [],
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
