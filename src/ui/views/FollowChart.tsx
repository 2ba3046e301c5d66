'use client';
import { Box, useTheme } from '@mui/material';
import { Line } from '../charts/Line';
import { dots, useChartSetup } from '../charts/setup';

/** Results of what is made with a cement over those of the cement. */
export function FollowChart({
  pairs,
  units: [unit, madeUnit],
  word,
}: {
  readonly pairs: readonly { readonly x: number; readonly y: number }[];
  readonly units: readonly [of: string, made: string];
  readonly word: string;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  return (
    <Box sx={{ height: 220, maxWidth: 520 }}>
      <Line
        role="img"
        aria-label={`Strengths of ${word} over those of its cement: ${pairs.length}`}
        data={{
          datasets: [
            dots(
              word,
              pairs.map(({ x, y }) => ({ x, y })),
              palette.primary.main,
              'circle',
              4,
            ),
          ],
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', title: { display: true, text: `cement, ${unit}` } },
            y: { ...base.scales.y, title: { display: true, text: `${word}, ${madeUnit}` } },
          },
          plugins: { ...base.plugins, legend: { display: false } },
        }}
      />
    </Box>
  );
}
