'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import { Line } from '../../charts/Line';
import { curve, dots, limitLine, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';

/** Resistance over the minutes since the water, with its lines and both marks, on scales by tens. */
export function ResistancePlot({ picture: { values } }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const inks = [palette.primary.main, palette.text.primary, palette.success.main, palette.warning.main];
  const pushes = readRows(values.pushes).map(([name = '', minutes, resistance, why = '']) => ({
    ...{ name, why, x: Number(minutes), y: Number(resistance) },
  }));
  if (pushes.length === 0)
    return (
      <Typography color="text.secondary">
        Each push stands here, with both resistances it is held against.
      </Typography>
    );
  const names = [...new Set(pushes.map(({ name }) => name))];
  const xs = pushes.map(({ x }) => x);
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  const [initial, final] = [Number(values.initial), Number(values.final)];
  const lines = readRows(values.lines).map(([name = '', a, b]) => ({
    name,
    points: [from, to].map((x) => ({ x, y: 10 ** (Number(a) + Number(b) * Math.log10(x)) })),
  }));
  const inkOf = (name: string): string => inks[names.indexOf(name) % inks.length] ?? palette.primary.main;
  return (
    <Box sx={{ height: 280, mb: 1 }}>
      <Line
        role="img"
        aria-label={`Resistance over time: ${pushes.length} pushes on ${names.length === 1 ? 'one specimen' : `${names.length} specimens`}`}
        data={{
          datasets: [
            ...lines.map(({ name, points }) => curve(`line of ${name}`, points, inkOf(name), [5, 4])),
            ...names.map((name) =>
              dots(
                `specimen ${name}`,
                pushes.filter((push) => push.name === name),
                inkOf(name),
                pushes.filter((push) => push.name === name).map(({ why }) => (why ? 'crossRot' : 'circle')),
                5,
              ),
            ),
          ],
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: {
              ...base.scales.x,
              type: 'logarithmic',
              title: { display: true, text: 'min since the water' },
            },
            y: { ...base.scales.y, type: 'logarithmic', title: { display: true, text: String(values.unit) } },
          },
          plugins: {
            ...base.plugins,
            legend: { display: false },
            annotation: {
              annotations: {
                initial: limitLine(
                  initial,
                  `${initial}: initial`,
                  palette.warning.main,
                  palette.background.paper,
                ),
                final: limitLine(final, `${final}: final`, palette.error.main, palette.background.paper),
              },
            },
          },
        }}
      />
    </Box>
  );
}
