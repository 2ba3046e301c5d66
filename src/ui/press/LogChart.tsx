'use client';
import { Box, useTheme } from '@mui/material';
import { type System, unitLabel } from '@/core/quantity';
import { Line } from '../charts/Line';
import { limitLine, curve as line, useChartSetup } from '../charts/setup';
import type { LogRead } from './load-log.worker';

/** Load against time with half and nine tenths of the peak, the corridor that the rate may keep to, peak and break. */
export function LogChart({
  read,
  system,
  corridor,
}: {
  read: LogRead;
  system: System;
  /** Load a second at the ends of the band. */
  corridor: { readonly low: number; readonly high: number };
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { analysis, curve } = read;
  const unit = unitLabel(system === 'US' ? 'lbf' : 'kN');
  const half = analysis.peak / 2;
  const wedge = (rate: number): { x: number; y: number }[] =>
    analysis.halfAt === null || !Number.isFinite(rate)
      ? []
      : [
          { x: analysis.halfAt, y: half },
          { x: analysis.halfAt + half / rate, y: analysis.peak },
        ];
  return (
    <Box sx={{ height: 260 }}>
      <Line
        role="img"
        aria-label={`Load against time: peak ${Math.round(analysis.peak)} ${unit} at ${analysis.peakAt.toFixed(1)} s`}
        data={{
          datasets: [
            line(`load, ${unit}`, curve, palette.primary.main),
            line('fastest allowed', wedge(corridor.high), palette.warning.main, [5, 4]),
            line('slowest allowed', wedge(corridor.low), palette.warning.main, [2, 3]),
          ],
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', title: { display: true, text: 's' } },
            y: { ...base.scales.y, beginAtZero: true },
          },
          plugins: {
            ...base.plugins,
            annotation: {
              annotations: {
                half: limitLine(half, 'half', palette.text.secondary, palette.background.paper),
                ninety: limitLine(
                  0.9 * analysis.peak,
                  '90 %',
                  palette.text.secondary,
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
