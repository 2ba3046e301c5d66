'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { limitLine, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';

/** Load against strain of every loading, with the upper load and the strain of 50 millionths. */
export function ModulusBench({ picture }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { points, upper, lower, unit } = picture.values;
  const rows = JSON.parse(String(points ?? '[]')) as [number, number, number][];
  if (rows.length === 0) {
    return (
      <Typography color="text.secondary" sx={{ py: 2 }}>
        With the rows of the loadings their curves are drawn here.
      </Typography>
    );
  }
  const cycles = [...new Set(rows.map(([cycle]) => cycle))];
  const colours = [palette.text.secondary, palette.primary.main, palette.warning.main];
  return (
    <Box sx={{ height: 280 }}>
      <Line
        role="img"
        aria-label={`Load against strain, ${cycles.length} loadings`}
        data={{
          datasets: cycles.map((cycle, index) => ({
            label: `loading ${cycle}${cycle === 1 ? ', seating' : ''}`,
            data: rows.filter(([own]) => own === cycle).map(([, x, y]) => ({ x, y })),
            borderColor: colours[index % colours.length],
            backgroundColor: colours[index % colours.length],
            borderDash: cycle === 1 ? [4, 4] : [],
            borderWidth: 2,
            pointRadius: 3,
          })),
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', min: 0, title: { display: true, text: 'millionths' } },
            y: { ...base.scales.y, min: 0, title: { display: true, text: String(unit) } },
          },
          plugins: {
            ...base.plugins,
            annotation: {
              annotations: {
                ...(upper
                  ? {
                      upper: limitLine(
                        Number(upper),
                        'loadings end here',
                        palette.error.main,
                        palette.background.paper,
                      ),
                    }
                  : {}),
                lower: {
                  type: 'line' as const,
                  xMin: Number(lower),
                  xMax: Number(lower),
                  borderColor: palette.text.secondary,
                  borderDash: [4, 4],
                  borderWidth: 1.5,
                },
              },
            },
          },
        }}
      />
    </Box>
  );
}
