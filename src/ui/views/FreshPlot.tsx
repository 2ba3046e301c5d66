'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Line } from '../charts/Line';
import { limitLine, useChartSetup } from '../charts/setup';

/** One fresh quantity by sample in a small chart with the ends of what is asked for. */
export function FreshPlot({
  title,
  unit,
  low,
  high,
  points,
  ahead,
}: {
  title: string;
  unit: string;
  low: number | null;
  high: number | null;
  points: readonly { readonly label: string; readonly value: number; readonly valid: boolean }[];
  ahead: string | null;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const values = [...points.map(({ value }) => value), ...[low, high].filter((each) => each !== null)];
  const margin = (Math.max(...values) - Math.min(...values)) * 0.2 || 1;
  const colours = points.map(({ value, valid }) =>
    !valid || (low !== null && value < low) || (high !== null && value > high)
      ? palette.error.main
      : palette.primary.main,
  );
  return (
    <Box>
      <Typography variant="h3">{`${title}, ${unit}`}</Typography>
      <Box sx={{ height: 150 }}>
        <Line
          role="img"
          aria-label={`${title} by sample: ${points.map(({ label, value }) => `${label} ${value}`).join(', ')} ${unit}`}
          data={{
            labels: points.map(({ label }) => label),
            datasets: [
              {
                label: title,
                data: points.map(({ value }) => value),
                borderColor: palette.divider,
                pointBackgroundColor: colours,
                pointBorderColor: colours,
                pointStyle: points.map(({ valid }) => (valid ? 'circle' : 'crossRot')),
                pointRadius: 5,
              },
            ],
          }}
          options={{
            ...base,
            scales: {
              x: { ...base.scales.x, offset: true },
              y: {
                ...base.scales.y,
                suggestedMin: Math.min(...values) - margin,
                suggestedMax: Math.max(...values) + margin,
              },
            },
            plugins: {
              ...base.plugins,
              legend: { display: false },
              annotation: {
                annotations: {
                  ...(low === null
                    ? {}
                    : { low: limitLine(low, `${low}`, palette.text.secondary, palette.background.paper) }),
                  ...(high === null
                    ? {}
                    : { high: limitLine(high, `${high}`, palette.text.secondary, palette.background.paper) }),
                },
              },
            },
          }}
        />
      </Box>
      {ahead ? (
        <Typography variant="body2" color="text.secondary">
          {ahead}
        </Typography>
      ) : null}
    </Box>
  );
}
