'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { pointsOf } from '../../charts/points';
import { curve, dots, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';

/** Rates over temperature with their line, down to where it would be nought. */
export function CementSpeedBench({ picture }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { rates, datum, slope, q } = picture.values;
  const points = pointsOf(rates);
  if (points.length === 0) {
    return (
      <Box sx={{ py: 5, textAlign: 'center' }}>
        <Typography color="text.secondary">
          Rates are drawn here once cubes of five ages were broken at a temperature.
        </Typography>
      </Box>
    );
  }
  const warmest = Math.max(...points.map(({ x }) => x));
  const line =
    typeof datum === 'number' && typeof slope === 'number'
      ? [
          { x: datum, y: 0 },
          { x: warmest, y: slope * (warmest - datum) },
        ]
      : [];
  return (
    <Box sx={{ height: 280 }}>
      <Line
        role="img"
        aria-label={`Rates at ${points.length} temperatures${typeof datum === 'number' ? `, nought at ${datum.toFixed(1)} °C, Q ${Number(q).toFixed(0)} K` : ''}`}
        data={{
          datasets: [
            curve('their line, to nought', line, palette.primary.main),
            dots('rates', points, palette.text.primary, 'circle', 6),
          ],
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', title: { display: true, text: '°C' } },
            y: { ...base.scales.y, beginAtZero: true, title: { display: true, text: 'rate, 1/day' } },
          },
        }}
      />
    </Box>
  );
}
