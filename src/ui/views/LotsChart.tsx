'use client';
import { Box, Checkbox, FormControlLabel, MenuItem, TextField, useTheme } from '@mui/material';
import { useState } from 'react';
import { Line } from '../charts/Line';
import { useChartSetup } from '../charts/setup';
import type { LotPoint, Watched } from './lots-over-time';

/** What came in over time: one row of its specification, lot by lot, each maker by a line of its own, with its limit. */
export function LotsChart({
  watched,
  points,
  own,
}: {
  watched: readonly Watched[];
  points: readonly LotPoint[];
  /** The number of the job that is looked at. */
  own: string;
}) {
  const { palette } = useTheme();
  const base = useChartSetup();
  const [chosen, setChosen] = useState(watched[0]?.id ?? '');
  const [all, setAll] = useState(true);
  const row = watched.find(({ id }) => id === chosen) ?? watched[0];
  if (!row) return null;
  const makers = [...new Set(points.map(({ by }) => by))];
  const inks = [palette.primary.main, palette.warning.main, palette.success.main, palette.text.primary];
  const elsewhere = points.some(({ job }) => job !== own);
  const told = points.filter(({ values, job }) => values[row.id] !== undefined && (all || job === own));
  return (
    <Box>
      <TextField
        select
        size="small"
        label="Over time"
        value={row.id}
        onChange={(event) => setChosen(event.target.value)}
        sx={{ minWidth: 260, mb: 1 }}
      >
        {watched.map(({ id, title }) => (
          <MenuItem key={id} value={id}>
            {title}
          </MenuItem>
        ))}
      </TextField>
      {elsewhere ? (
        <FormControlLabel
          sx={{ ml: 2 }}
          control={<Checkbox checked={all} onChange={(_, on) => setAll(on)} />}
          label="The same product in other jobs too"
        />
      ) : null}
      <Box sx={{ height: 240 }}>
        <Line
          data={{
            labels: told.map(({ label, day }) => `${day} ${label}`),
            datasets: [
              ...makers.map((maker, place) => ({
                label: maker,
                data: told.map(({ by, values }) => (by === maker ? (values[row.id]?.value ?? null) : null)),
                borderColor: inks[place % inks.length],
                backgroundColor: inks[place % inks.length],
                spanGaps: true,
                pointRadius: 4,
              })),
              {
                label: `${row.holds} this`,
                data: told.map(({ values }) => values[row.id]?.limit ?? null),
                borderColor: palette.error.main,
                backgroundColor: palette.error.main,
                borderDash: [6, 4],
                stepped: 'middle' as const,
                pointRadius: 0,
              },
            ],
          }}
          role="img"
          aria-label={`${row.title}, lot by lot: ${told
            .map(({ day, by, values }) => `${day} ${by} ${values[row.id]?.value}`)
            .join('; ')}`}
          options={{
            ...base,
            scales: {
              ...base.scales,
              y: {
                ...base.scales.y,
                title: { display: row.unit !== '', text: row.unit, color: palette.text.secondary },
              },
            },
            plugins: { ...base.plugins, legend: { display: true, position: 'bottom' } },
          }}
        />
      </Box>
    </Box>
  );
}
