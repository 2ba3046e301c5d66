'use client';
import { useTheme } from '@mui/material';

/**
 * The section of a piece between the two points, to scale: its depth, its width above and below, and where half the
 * depth ends along the piece. Every size in one unit.
 */
export function Section({
  depth,
  top,
  bottom,
  freeEnd,
  share,
  height = 190,
}: {
  depth: number;
  top: number;
  bottom: number;
  freeEnd: number | null;
  /** The share of the depth that must be there to the free end. */
  share: number;
  height?: number;
}) {
  const { palette } = useTheme();
  const width = 250;
  // One scale for all of it: the depth in the height, the widths around the points, the free end beside them.
  const scale = Math.min(
    (height - 60) / Math.max(depth, 1e-6),
    130 / Math.max(top, bottom, 1e-6),
    60 / Math.max(freeEnd ?? 0, depth * share, 1e-6),
  );
  const [d, a, b] = [depth * scale, top * scale, bottom * scale];
  const middle = 85;
  const y = (height - d) / 2;
  const end = freeEnd === null ? null : freeEnd * scale;
  const right = 180;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      style={{ maxWidth: 340 }}
      role="img"
      aria-label="The piece between the points, to scale"
    >
      <path
        d={`M${middle - a / 2} ${y}H${middle + a / 2}L${middle + b / 2} ${y + d}H${middle - b / 2}Z`}
        fill={palette.divider}
        stroke={palette.text.primary}
        strokeWidth={1.5}
      />
      <path
        d={`M${middle - 10} ${y - 20}H${middle + 10}L${middle} ${y}ZM${middle - 10} ${y + d + 20}H${middle + 10}L${middle} ${y + d}Z`}
        fill={palette.text.primary}
      />
      <line x1={middle} x2={middle} y1={y} y2={y + d} stroke={palette.primary.main} strokeDasharray="4 3" />
      {end === null ? null : (
        <>
          <rect x={right} y={y} width={end} height={d} fill="none" stroke={palette.text.secondary} />
          <line
            x1={right}
            x2={right}
            y1={y - 6}
            y2={y + d + 6}
            stroke={palette.primary.main}
            strokeWidth={2}
          />
          <line
            x1={right + d * share}
            x2={right + d * share}
            y1={y - 4}
            y2={y + d + 4}
            stroke={end + 1e-6 < d * share ? palette.error.main : palette.success.main}
            strokeDasharray="3 3"
          />
        </>
      )}
    </svg>
  );
}
