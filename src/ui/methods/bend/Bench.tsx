'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { curve, limitLine, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';

type Point = { readonly x: number; readonly y: number };

/** Points written as `x/y x/y`. */
function pointsIn(text: unknown): Point[] {
  return String(text ?? '')
    .split(' ')
    .filter(Boolean)
    .map((pair) => {
      const [x = '', y = ''] = pair.split('/');
      return { x: Number(x), y: Number(y) };
    });
}

/** Force over displacement as the machine recorded it: the straight line, first crack, peak, and where it is read. */
export function BendBench({ picture: { values } }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const points = pointsIn(values.curve);
  if (points.length < 2)
    return (
      <Typography color="text.secondary">
        The curve stands here as soon as the machine’s file is kept: measure width, depth and span, then
        choose the file at the step of loading.
      </Typography>
    );
  const one = (text: unknown): Point[] => (text === null ? [] : pointsIn(text));
  const [peak, crack] = [one(values.peak), one(values.crack)];
  const by =
    { drop: 'by a drop', deviation: 'leaves its line', peak: 'at its peak' }[String(values.crackBy)] ?? '';
  const dot = (label: string, at: Point[], colour: string, style: 'rect' | 'triangle' | 'crossRot') => ({
    label,
    data: at,
    showLine: false,
    pointRadius: 7,
    pointStyle: style,
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: 2,
  });
  const marks = Object.fromEntries(
    pairsIn(values.marks).map(([at, word]) => [
      `m${at}`,
      {
        ...limitLine(0, word, palette.text.secondary, palette.background.paper),
        scaleID: 'x',
        value: Number(at),
      },
    ]),
  );
  return (
    <Box>
      <Box sx={{ height: 330 }}>
        <Line
          role="img"
          aria-label={`Force over displacement: peak ${peak[0]?.y ?? '?'} ${values.force} at ${peak[0]?.x ?? '?'} ${values.length}`}
          data={{
            datasets: [
              curve(`force, ${values.force}`, points, palette.primary.main),
              curve('straight line', one(values.line), palette.text.secondary, [6, 4]),
              dot(`first crack, ${by}`, crack, palette.error.main, 'triangle'),
              dot('peak', peak, palette.text.primary, 'rect'),
              ...(values.slips
                ? [dot('seat slipped', pointsIn(values.slips), palette.warning.main, 'crossRot')]
                : []),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: {
                ...base.scales.x,
                type: 'linear',
                title: { display: true, text: `displacement, ${values.length}` },
              },
              y: { ...base.scales.y, beginAtZero: true },
            },
            plugins: { ...base.plugins, annotation: { annotations: marks } },
          }}
        />
      </Box>
      {values.words ? <Typography sx={{ mt: 1 }}>{String(values.words)}</Typography> : null}
    </Box>
  );
}
