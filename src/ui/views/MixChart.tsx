'use client';
import { Box, useTheme } from '@mui/material';
import { useMemo } from 'react';
import { Line } from '../charts/Line';
import { limitLine, useChartSetup } from '../charts/setup';

export interface ChartPoint {
  readonly label: string;
  readonly day: string;
  readonly value: number | null;
  readonly state: string;
  readonly average: number | null;
  readonly singles: readonly number[];
}

/** Tests with their specimens, the running average of three, and the two limits as lines named where they stand. */
export function MixChart({
  points,
  specified,
  floor,
  floorWord,
  unit,
  test,
  mean,
  symbol,
}: {
  /** What one test is called, and the mean of some in a row; null where they are not judged by one. */
  test: string;
  mean: string | null;
  /** How what is asked for is written. */
  symbol: string;
  points: readonly ChartPoint[];
  specified: number;
  floor: number;
  /** What a test below the floor is: `single test`. */
  floorWord: string;
  unit: string;
}) {
  const { palette } = useTheme();
  const base = useChartSetup();
  const data = useMemo(
    () => ({
      labels: points.map(({ label }) => label),
      datasets: [
        ...(mean === null
          ? []
          : [
              {
                label: mean,
                data: points.map(({ average }) => average),
                borderColor: palette.primary.main,
                backgroundColor: palette.primary.main,
                borderWidth: 2.5,
                pointRadius: 0,
                tension: 0,
              },
            ]),
        {
          label: test,
          data: points.map(({ value }) => value),
          showLine: false,
          pointRadius: 6,
          pointStyle: points.map(({ value }) => (value !== null && value < floor ? 'crossRot' : 'rect')),
          borderColor: points.map(({ value }) =>
            value !== null && value < floor ? palette.error.main : palette.text.primary,
          ),
          backgroundColor: points.map(({ value }) =>
            value !== null && value < specified ? palette.warning.main : palette.text.primary,
          ),
          borderWidth: 2,
        },
        ...[0, 1, 2].map((order) => ({
          label: order === 0 ? 'Single specimen' : `Single specimen ${order + 1}`,
          data: points.map(({ singles }) => singles[order] ?? null),
          showLine: false,
          pointRadius: 2,
          pointStyle: 'circle' as const,
          borderColor: palette.text.secondary,
          backgroundColor: palette.text.secondary,
        })),
      ],
    }),
    [points, palette, specified, floor, test, mean],
  );
  const values = points.flatMap(({ value, singles }) => [...(value === null ? [] : [value]), ...singles]);
  const low = Math.min(floor, ...values);
  const high = Math.max(specified, ...values);
  const margin = (high - low) * 0.12 || specified * 0.1;
  return (
    <Box sx={{ height: 470 }}>
      <Line
        data={data}
        aria-label={`${test}s in sampling order with ${mean === null ? '' : `the ${mean.toLowerCase()} and `}the limits; the table below holds the same figures`}
        role="img"
        options={{
          ...base,
          scales: {
            x: { ...base.scales.x, offset: true, title: { display: false } },
            y: {
              ...base.scales.y,
              suggestedMin: low - margin,
              suggestedMax: high + margin,
              title: { display: true, text: unit, color: palette.text.secondary },
            },
          },
          plugins: {
            ...base.plugins,
            legend: {
              ...base.plugins.legend,
              labels: { ...base.plugins.legend.labels, filter: ({ text }) => !/specimen \d/.test(text) },
            },
            tooltip: {
              callbacks: {
                title: ([item]) =>
                  item ? `${points[item.dataIndex]?.label}, ${points[item.dataIndex]?.day}` : '',
                label: (item) =>
                  `${item.dataset.label?.replace(/ \d$/, '')}: ${Math.round(Number(item.parsed.y) * 100) / 100} ${unit}`,
              },
            },
            annotation: {
              annotations: {
                specified: limitLine(
                  specified,
                  `${symbol} ${specified.toLocaleString('en-US')}`,
                  palette.text.primary,
                  palette.background.paper,
                ),
                floor: limitLine(
                  floor,
                  `${floorWord} ${floor.toLocaleString('en-US')}`,
                  palette.error.main,
                  palette.background.paper,
                ),
              },
            },
          },
        }}
      />
    </Box>
  );
}
