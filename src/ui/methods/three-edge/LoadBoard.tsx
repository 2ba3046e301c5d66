'use client';
import { Box, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { curve, limitLine, useChartSetup } from '../../charts/setup';

export interface Marks {
  readonly turn: number;
  readonly design: number;
  readonly ultimate: number | null;
  /** Rates at the most, a minute. */
  readonly first: number;
  readonly second: number;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** The steepest that is allowed from a point on: up to where the first rate ends, and from there to the design load. */
function steepest({ x, y }: Point, { turn, design, first, second }: Marks): Point[] {
  const points = [{ x, y }];
  let [at, load] = [x, y];
  if (load < turn) {
    at += ((turn - load) / first) * 60;
    load = turn;
    points.push({ x: at, y: load });
  }
  if (load < design) points.push({ x: at + ((design - load) / second) * 60, y: design });
  return points;
}

/** Load over time with its marks: the earliest that is allowed, what it was, and the steepest way on from now. */
export function LoadBoard({
  marks,
  points,
  force,
  live = false,
}: {
  readonly marks: Marks;
  readonly points: readonly Point[];
  readonly force: string;
  /** It goes on: the way from its last point is shown. */
  readonly live?: boolean;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const begun = points.find(({ y }) => y > 0.005 * marks.design) ?? { x: 0, y: 0 };
  const shown = points.filter(({ x }) => x >= begun.x - 2).map(({ x, y }) => ({ x: x - begun.x, y }));
  const last = shown.at(-1);
  const peak = Math.max(0, ...shown.map(({ y }) => y));
  const cone = live && last && last.y < marks.design && last.y >= 0.97 * peak ? steepest(last, marks) : [];
  const top = Math.max(marks.ultimate ?? marks.design, peak) * 1.06;
  return (
    <Box sx={{ height: 280 }}>
      <Line
        role="img"
        aria-label={`Load over time, ${force}: ${shown.length} points up to ${peak.toFixed(0)}; first rate to ${marks.turn.toFixed(0)}, design load ${marks.design.toFixed(0)}`}
        data={{
          datasets: [
            curve('as it was', shown, palette.primary.main),
            curve('earliest allowed', steepest({ x: 0, y: 0 }, marks), palette.text.secondary, [3, 3]),
            ...(cone.length > 1 ? [curve('steepest from here', cone, palette.warning.main, [6, 3])] : []),
          ],
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', min: 0, title: { display: true, text: 's' } },
            y: { ...base.scales.y, min: 0, suggestedMax: top, title: { display: true, text: force } },
          },
          plugins: {
            ...base.plugins,
            tooltip: { enabled: false },
            annotation: {
              annotations: {
                turn: limitLine(marks.turn, 'slow down', palette.warning.main, palette.background.paper),
                design: limitLine(marks.design, 'design load', palette.error.main, palette.background.paper),
                ...(marks.ultimate !== null && marks.ultimate !== marks.design
                  ? {
                      ultimate: limitLine(
                        marks.ultimate,
                        'ultimate',
                        palette.text.primary,
                        palette.background.paper,
                      ),
                    }
                  : {}),
              },
            },
          },
        }}
      />
    </Box>
  );
}
