'use client';
import { useTheme } from '@mui/material';

/** One diameter of one end as the dial read it; lengths in one unit. */
export interface Drawn {
  readonly scan: string;
  readonly intercept: number;
  readonly slope: number;
  readonly points: readonly { readonly x: number; readonly y: number }[];
}

const WIDE = 260;
const HIGH = 96;
const PAD = 10;

/** Points along a diameter, their line, and the band that none of them may leave. Heights are drawn larger than life. */
export function EndProfile({
  scan,
  intercept,
  slope,
  points,
  band,
  unit,
}: Drawn & { band: number; unit: string }) {
  const { palette } = useTheme();
  const on = (x: number): number => intercept + slope * x;
  const [left, right] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 1];
  const heights = [
    ...points.map(({ y }) => y),
    ...[left, right].flatMap((x) => [on(x) - band, on(x) + band]),
  ];
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const px = (x: number): number => PAD + ((x - left) / (right - left || 1)) * (WIDE - 2 * PAD);
  const py = (y: number): number => HIGH - PAD - ((y - low) / (high - low || 1)) * (HIGH - 2 * PAD - 14);
  const off = points.filter(({ x, y }) => Math.abs(y - on(x)) > band * (1 + 1e-9));
  const title = `End ${scan.charAt(0)}, ${scan.charAt(1)}`;
  const line = (by: number): string => `${px(left)},${py(on(left) + by)} ${px(right)},${py(on(right) + by)}`;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      role="img"
      aria-label={`${title}: ${points.length} readings, ${off.length === 0 ? 'all' : `${points.length - off.length}`} within ${band} ${unit} of their line`}
    >
      <polygon
        points={`${line(band)} ${line(-band).split(' ').toReversed().join(' ')}`}
        fill={palette.success.light}
        fillOpacity={0.5}
      />
      <polyline points={line(0)} fill="none" stroke={palette.primary.main} strokeWidth={1.5} />
      {points.map(({ x, y }) => (
        <circle
          key={`${x} ${y}`}
          cx={px(x)}
          cy={py(y)}
          r={2.6}
          fill={off.some((each) => each.x === x && each.y === y) ? palette.error.main : palette.text.primary}
        />
      ))}
      <text x={PAD} y={11} fontSize={11} fontWeight={700} fill={palette.text.primary}>
        {title}
      </text>
      <text x={WIDE - PAD} y={11} fontSize={10} textAnchor="end" fill={palette.text.secondary}>
        {off.length === 0 ? '' : `✕ ${off.length} outside`}
      </text>
    </svg>
  );
}
