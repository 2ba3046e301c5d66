'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { pointsOf } from '../../charts/points';
import { curve, dots, limitLine, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';

/** Force over displacement as the machine recorded it: the straight line, first crack, peak, and where it is read. */
export function BendBench({ picture: { values } }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const points = pointsOf(values.curve);
  if (points.length < 2)
    return (
      <Typography color="text.secondary">
        The curve stands here as soon as the machine’s file is kept: measure width, depth and span, then
        choose the file at the step of loading.
      </Typography>
    );
  const [peak, crack] = [pointsOf(values.peak), pointsOf(values.crack)];
  const by =
    { drop: 'by a drop', deviation: 'leaves its line', peak: 'at its peak' }[String(values.crackBy)] ?? '';
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
              curve('straight line', pointsOf(values.line), palette.text.secondary, [6, 4]),
              dots(`first crack, ${by}`, crack, palette.error.main, 'triangle', 7),
              ...(values.crackRead
                ? [
                    dots(
                      'first crack as read',
                      pointsOf(values.crackRead),
                      palette.text.secondary,
                      'triangle',
                      7,
                    ),
                  ]
                : []),
              dots('peak', peak, palette.text.primary, 'rect', 7),
              ...(values.slips
                ? [dots('seat slipped', pointsOf(values.slips), palette.warning.main, 'crossRot', 7)]
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
