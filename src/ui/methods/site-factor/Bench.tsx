'use client';
import { Box, Slider, Typography, useTheme } from '@mui/material';
import { useState } from 'react';
import { Line } from '../../charts/Line';
import { curve, dots, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';

type PairPoint = readonly [core: string, x: number, y: number, counts: 0 | 1];

const STEPS = 24;

/** Strength of the cores over the index beside them: the line through the origin, its interval, and what an index gives. */
export function SiteFactorBench({ picture }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { values } = picture;
  const pairs = JSON.parse(String(values.pairs ?? '[]')) as PairPoint[];
  const [factor, scatter, squares, t] = [values.factor, values.scatter, values.squares, values.t].map(Number);
  const most = Math.max(...pairs.map(([, x]) => x), 0) * 1.1;
  const [share, setShare] = useState(50);
  if (pairs.length === 0)
    return (
      <Typography color="text.secondary">
        With the first two pairs they stand here, strength over index, with the line through the origin.
      </Typography>
    );
  const drawn = values.factor !== null && factor !== undefined;
  const half = (x: number): number => (t ?? 0) * (scatter ?? 0) * Math.sqrt(1 + x ** 2 / (squares || 1));
  const along = Array.from({ length: STEPS + 1 }, (_, place) => (most * place) / STEPS);
  const unit = String(values.unit);
  const at = (most * share) / 100;
  const show = (value: number): string => Number(value.toPrecision(3)).toLocaleString('en-US');
  return (
    <Box>
      <Box sx={{ height: 300 }}>
        <Line
          role="img"
          aria-label="Strength of cores over the index of pieces beside them, with the line through the origin"
          data={{
            datasets: [
              dots(
                'Pair',
                pairs.map(([, x, y]) => ({ x, y })),
                palette.text.primary,
                pairs.map(([, , , counts]) => (counts ? 'rect' : 'crossRot')),
                5,
              ),
              ...(drawn
                ? [
                    curve(
                      'K through the origin',
                      along.map((x) => ({ x, y: factor * x })),
                      palette.primary.main,
                    ),
                    curve(
                      'Where a single core may lie, 95 %',
                      along.map((x) => ({ x, y: factor * x + half(x) })),
                      palette.warning.main,
                      [6, 4],
                    ),
                    curve(
                      '',
                      along.map((x) => ({ x, y: Math.max(0, factor * x - half(x)) })),
                      palette.warning.main,
                      [6, 4],
                    ),
                  ]
                : []),
            ],
          }}
          options={{
            ...base,
            scales: {
              x: {
                ...base.scales.x,
                type: 'linear',
                min: 0,
                title: { display: true, text: `Is(50), ${unit}`, color: palette.text.secondary },
              },
              y: {
                ...base.scales.y,
                min: 0,
                title: { display: true, text: `Strength, ${unit}`, color: palette.text.secondary },
              },
            },
            plugins: {
              ...base.plugins,
              legend: {
                ...base.plugins.legend,
                labels: { ...base.plugins.legend.labels, filter: ({ text }) => text !== '' },
              },
              tooltip: {
                callbacks: { title: ([item]) => (item ? (pairs[item.dataIndex]?.[0] ?? '') : '') },
              },
            },
          }}
        />
      </Box>
      {drawn ? (
        <Box sx={{ mt: 1, maxWidth: 420 }}>
          <Typography>{`An index of ${show(at)} ${unit} gives ${show(factor * at)} (${show(Math.max(0, factor * at - half(at)))} to ${show(factor * at + half(at))}) ${unit}, estimated.`}</Typography>
          <Slider
            value={share}
            onChange={(_, next) => setShare(next as number)}
            aria-label="Index to try"
            valueLabelDisplay="off"
          />
        </Box>
      ) : null}
    </Box>
  );
}
