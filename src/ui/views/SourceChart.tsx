'use client';
import { Box, useTheme } from '@mui/material';
import type { Charted, SeriesCharts } from '@/core/uniformity';
import { Line } from '../charts/Line';
import { useChartSetup } from '../charts/setup';

/** A result as it is drawn and listed. */
export interface SourcePoint {
  readonly sampleId: string;
  readonly label: string;
  readonly day: string;
  readonly value: number;
  /** Left out of the baseline. */
  readonly left: boolean;
  readonly changed: readonly string[];
  readonly decisions: readonly string[];
}

/** The charts that are drawn, by what each is called. */
export const DRAWN = {
  weighted: 'Weighted mean',
  five: 'Averages of five',
  single: 'Single results',
  sum: 'Sums',
} as const;
export type DrawnChart = keyof typeof DRAWN;

interface Band {
  readonly low: number;
  readonly high: number;
}

/** One of the charts of a source: its limits, what it follows, and the single results behind it. */
export function SourceChart({
  charts,
  points,
  drawn,
  sum,
  unit,
}: {
  charts: SeriesCharts;
  points: readonly SourcePoint[];
  drawn: DrawnChart;
  /** Where a sum signals, deviations. */
  sum: number;
  unit: string;
}) {
  const { palette } = useTheme();
  const base = useChartSetup();
  const all = charts.points;
  const limit = (label: string, of: (point: Charted) => number) => ({
    label,
    data: all.map(of),
    borderColor: palette.error.main,
    backgroundColor: palette.error.main,
    borderDash: [6, 4],
    borderWidth: 1.5,
    pointRadius: 0,
    pointStyle: 'line' as const,
  });
  const followed = (label: string, of: (point: Charted) => number | null, colour = palette.primary.main) => ({
    label,
    data: all.map(of),
    borderColor: colour,
    backgroundColor: all.map(({ beyond }) => (beyond.includes(drawn) ? palette.error.main : colour)),
    borderWidth: 2.25,
    pointRadius: all.map(({ beyond }) => (beyond.includes(drawn) ? 7 : 2.5)),
    pointStyle: all.map(({ beyond }) =>
      beyond.includes(drawn) ? ('rectRot' as const) : ('circle' as const),
    ),
  });
  const band = (of: (point: Charted) => Band) => [
    limit('Limits', (point) => of(point).high),
    limit('Lower limit', (point) => of(point).low),
  ];
  const singles = {
    label: 'Single result',
    data: all.map(({ value }) => value),
    showLine: false,
    pointRadius: 3,
    pointStyle: points.map(({ left }) => (left ? ('crossRot' as const) : ('rect' as const))),
    borderColor: palette.text.secondary,
    backgroundColor: palette.text.secondary,
  };
  const datasets = {
    weighted: [
      followed(DRAWN.weighted, ({ weighted }) => weighted.value),
      ...band(({ weighted }) => weighted),
      singles,
    ],
    five: [followed(DRAWN.five, ({ five }) => five), ...band(() => charts.five), singles],
    single: [followed('Single result', ({ value }) => value), ...band(() => charts.single)],
    sum: [
      followed('Sum above', ({ sums }) => sums.up),
      followed('Sum below', ({ sums }) => -sums.down, palette.warning.main),
      limit('Limits', () => sum),
      limit('Lower limit', () => -sum),
    ],
  }[drawn];
  const changes = points.flatMap(({ changed }, place) => (changed.length > 0 ? [place] : []));
  const upright = (at: number, colour: string) => ({
    type: 'line' as const,
    xMin: at,
    xMax: at,
    borderColor: colour,
    borderWidth: 1,
    borderDash: [2, 3],
  });
  const beyond = all.flatMap((point, place) => (point.beyond.includes(drawn) ? [points[place]?.label] : []));
  return (
    <Box sx={{ height: 360 }}>
      <Line
        data={{ labels: points.map(({ label, day }) => `${day} ${label}`), datasets }}
        role="img"
        aria-label={`${DRAWN[drawn]} of ${all.length} results; ${beyond.length > 0 ? `beyond its limits: ${beyond.join(', ')}` : 'none beyond its limits'}. The table below holds the results.`}
        options={{
          ...base,
          scales: {
            x: { ...base.scales.x, ticks: { ...base.scales.x.ticks, maxTicksLimit: 10 } },
            y: {
              ...base.scales.y,
              title: {
                display: true,
                text: drawn === 'sum' ? 'deviations' : unit,
                color: palette.text.secondary,
              },
            },
          },
          plugins: {
            ...base.plugins,
            legend: {
              ...base.plugins.legend,
              labels: { ...base.plugins.legend.labels, filter: ({ text }) => text !== 'Lower limit' },
            },
            annotation: {
              annotations: {
                ...Object.fromEntries(
                  changes.map((at) => [`changed-${at}`, upright(at, palette.warning.main)]),
                ),
                ...(drawn === 'sum'
                  ? {}
                  : {
                      centre: {
                        type: 'line' as const,
                        yMin: charts.centre,
                        yMax: charts.centre,
                        borderColor: palette.text.primary,
                        borderWidth: 1,
                      },
                    }),
                baseline: {
                  ...upright(charts.until + 0.5, palette.text.primary),
                  label: {
                    display: true,
                    content: 'baseline to here',
                    position: 'start' as const,
                    backgroundColor: palette.background.paper,
                    color: palette.text.secondary,
                    font: { size: 11 },
                    padding: 2,
                  },
                },
              },
            },
          },
        }}
      />
    </Box>
  );
}
