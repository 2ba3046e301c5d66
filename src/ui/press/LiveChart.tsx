'use client';
import { Box, useTheme } from '@mui/material';
import { memo } from 'react';
import type { PressView } from '@/core/press';
import { Line } from '../charts/Line';
import { limitLine, curve as line, useChartSetup } from '../charts/setup';

/** Load against time as it comes, with the corridor that the rate may keep to from where it counts. */
export const LiveChart = memo(
  function LiveChart({
    curve,
    view,
    band,
    from,
    unit,
  }: {
    curve: readonly { readonly x: number; readonly y: number }[];
    view: PressView;
    /** Load a second. */
    band: { readonly low: number; readonly high: number };
    /** Share of the expected load from which the band counts. */
    from: number;
    unit: string;
  }) {
    const base = useChartSetup();
    const { palette } = useTheme();
    const begin = Math.max(from, 0.01) * view.expected;
    const crossed = curve.find(({ y }) => y >= begin);
    const wedge = (rate: number): { x: number; y: number }[] =>
      crossed && rate > 0
        ? [
            { x: crossed.x, y: begin },
            { x: crossed.x + (view.expected - begin) / rate, y: view.expected },
          ]
        : [];
    return (
      <Box sx={{ height: 330 }}>
        <Line
          role="img"
          aria-label={`Load against time, now ${Math.round(view.load)} ${unit}`}
          data={{
            datasets: [
              line(`load, ${unit}`, [...curve], palette.primary.main),
              line('fastest allowed', wedge(band.high), palette.warning.main, [6, 4]),
              line('slowest allowed', wedge(band.low), palette.warning.main, [2, 3]),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: { ...base.scales.x, type: 'linear', min: 0, title: { display: true, text: 's' } },
              y: { ...base.scales.y, min: 0, suggestedMax: view.expected * 1.05 },
            },
            plugins: {
              ...base.plugins,
              tooltip: { enabled: false },
              annotation: {
                annotations: {
                  ...(from > 0
                    ? {
                        half: limitLine(
                          begin,
                          'the band counts from here',
                          palette.text.secondary,
                          palette.background.paper,
                        ),
                      }
                    : {}),
                  expected: limitLine(
                    view.expected,
                    'expected',
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
  },
  (before, after) => before.curve === after.curve && before.unit === after.unit,
);
