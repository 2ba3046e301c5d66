'use client';
import { Box, useTheme } from '@mui/material';
import { Line } from '../charts/Line';
import { limitLine, useChartSetup } from '../charts/setup';

/** The within-test variation over so many sets, again after each set, against the classes. */
export function WithinChart({
  span,
  values,
  labels,
  lines,
}: {
  /** How many sets it is told from. */
  span: string;
  values: readonly number[];
  /** The last set of each such span. */
  labels: readonly string[];
  lines: readonly { readonly at: number; readonly word: string }[];
}) {
  const { palette } = useTheme();
  const base = useChartSetup();
  const top = Math.ceil(Math.max(...values, ...lines.map(({ at }) => at)) * 1.1);
  return (
    <Box sx={{ height: 190 }}>
      <Line
        data={{
          labels: [...labels],
          datasets: [
            {
              label: `Within-test variation over ${span} sets`,
              data: [...values],
              borderColor: palette.primary.main,
              backgroundColor: palette.primary.main,
              pointRadius: 3,
            },
          ],
        }}
        role="img"
        aria-label={`Within-test variation over ${span} sets, in percent, set by set`}
        options={{
          ...base,
          scales: {
            x: {
              ...base.scales.x,
              ticks: { ...base.scales.x.ticks, maxTicksLimit: 3 },
              title: { display: false },
            },
            y: {
              ...base.scales.y,
              min: 0,
              max: top,
              title: { display: true, text: '%', color: palette.text.secondary },
            },
          },
          plugins: {
            ...base.plugins,
            legend: { display: false },
            annotation: {
              annotations: Object.fromEntries(
                lines.map(({ at, word }) => [
                  word,
                  limitLine(at, `${word} ${at}`, palette.text.secondary, palette.background.paper),
                ]),
              ),
            },
          },
        }}
      />
    </Box>
  );
}
