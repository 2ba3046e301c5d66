'use client';
import { Box, useTheme } from '@mui/material';
import { Line } from '../charts/Line';
import { curve as line, useChartSetup } from '../charts/setup';

/** What a machine shows over its seconds, as it comes. @param says the same in words, for who does not see it */
export function OverTime({
  label,
  points,
  says,
}: {
  readonly label: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly says: string;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  if (points.length < 2) return null;
  return (
    <Box sx={{ height: 180 }}>
      <Line
        role="img"
        aria-label={says}
        data={{ datasets: [line(label, [...points], palette.primary.main)] }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', title: { display: true, text: 's' } },
            y: { ...base.scales.y, min: 0 },
          },
          plugins: { ...base.plugins, tooltip: { enabled: false } },
        }}
      />
    </Box>
  );
}
