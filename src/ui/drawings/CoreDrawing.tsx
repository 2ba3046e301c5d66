'use client';
import { useTheme } from '@mui/material';
import { failurePath } from './failure-path';

/** A core between its platens, in its own proportions, with how it failed drawn over it. */
export function CoreDrawing({
  diameter,
  length,
  failure,
  angle,
  unit,
}: {
  diameter: number | null;
  length: number | null;
  failure: string | null;
  angle: number | null;
  unit: string;
}) {
  const { palette } = useTheme();
  const ratio = diameter && length ? length / diameter : 2.2;
  const high = Math.min(190, Math.max(70, 84 * ratio));
  const wide = high / ratio;
  const [left, top] = [80 - wide / 2, 120 - high / 2];
  const path = failure ? failurePath(failure, { left, top, wide, high }, angle) : null;
  const size =
    diameter && length
      ? `${diameter.toFixed(2)} by ${length.toFixed(2)} ${unit}, ${ratio.toFixed(2)} times as long as wide`
      : 'not measured yet';
  return (
    <svg
      viewBox="0 0 160 250"
      width={160}
      height={250}
      role="img"
      aria-label={`Core between its platens, ${size}`}
    >
      <rect x={20} y={top - 18} width={120} height={18} fill={palette.text.primary} />
      <rect x={20} y={top + high} width={120} height={18} fill={palette.text.primary} />
      <rect
        x={left}
        y={top}
        width={wide}
        height={high}
        fill={palette.divider}
        stroke={palette.text.primary}
        strokeWidth={1.5}
      />
      {path ? <path d={path} fill="none" stroke={palette.error.main} strokeWidth={2.5} /> : null}
      <text x={80} y={246} fontSize={11} textAnchor="middle" fill={palette.text.secondary} className="mono">
        {diameter && length ? `L/D ${ratio.toFixed(2)}` : ''}
      </text>
    </svg>
  );
}
