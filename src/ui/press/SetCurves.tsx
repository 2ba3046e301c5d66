'use client';
import { Box, useTheme } from '@mui/material';
import { convert, exact } from '@/core/quantity';
import type { CurvePoint } from '@/core/signals';
import { Line } from '../charts/Line';
import { curve, useChartSetup } from '../charts/setup';

/** What a curve is drawn over. */
export type CurveScale = 's' | 'mm' | 'in' | 'h';

/** Of a millimetre. */
const INCHES = convert(exact('1'), 'mm', 'in').toNumber();
const WORDS = { s: 's from contact', mm: 'displacement, mm', in: 'displacement, in', h: 'h' };

/** Load curves of companions laid over one another, each from its own contact on. */
export function SetCurves({
  curves,
  axis = 's',
}: {
  /** Over the time from contact, or over the displacement, which the curves hold in millimetres. */
  axis?: CurveScale;
  curves: readonly {
    readonly label: string;
    readonly points: readonly CurvePoint[];
    readonly startAt: number;
  }[];
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const drawn = curves.filter(({ points }) => points.length > 1);
  if (drawn.length === 0) return null;
  const inks = [palette.primary.main, palette.warning.main, palette.error.main, palette.success.main];
  const dashes = [[], [7, 4], [2, 3], [10, 3, 2, 3]];
  return (
    <Box sx={{ height: 210, mt: 1 }}>
      <Line
        role="img"
        aria-label={`${axis === 'h' ? 'Temperatures' : 'Load curves'} of ${drawn.length}: ${drawn.map(({ label }) => label).join(', ')}`}
        data={{
          datasets: drawn.map(({ label, points, startAt }, index) =>
            curve(
              label,
              points
                .filter(([t]) => t >= startAt - (axis === 's' ? 1 : 0))
                .map(([t, load]) => ({ x: (t - startAt) * (axis === 'in' ? INCHES : 1), y: load })),
              inks[index % inks.length] ?? palette.primary.main,
              dashes[index % dashes.length],
            ),
          ),
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: {
              ...base.scales.x,
              type: 'linear',
              min: 0,
              title: { display: true, text: WORDS[axis] },
            },
            y: { ...base.scales.y, min: 0 },
          },
        }}
      />
    </Box>
  );
}
