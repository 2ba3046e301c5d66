'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../registry';

/** The plate from above: the ring, and the flow as its two diameters make it. */
export function SlumpFlowBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { diameter1, diameter2, ring, plate, stability, unit } = picture.values;
  const scale = 190 / Number(plate);
  const [one, two] = [Number(diameter1 ?? 0), Number(diameter2 ?? 0)];
  const shown = diameter1 !== null;
  return (
    <svg
      viewBox="0 0 400 220"
      width="100%"
      height="220"
      role="img"
      aria-label={shown ? `Flow ${one} by ${two} ${unit}` : 'Flow not measured yet'}
    >
      <rect
        x="105"
        y="10"
        width="190"
        height="190"
        fill={palette.background.default}
        stroke={palette.text.primary}
      />
      {shown ? (
        <ellipse
          cx="200"
          cy="105"
          rx={(one * scale) / 2}
          ry={((two || one) * scale) / 2}
          fill={palette.divider}
          stroke={palette.text.primary}
          strokeWidth="1.5"
        />
      ) : null}
      {shown && Number(stability ?? 0) >= 2 ? (
        <ellipse
          cx="200"
          cy="105"
          rx={one * scale * 0.14}
          ry={one * scale * 0.12}
          fill={palette.text.secondary}
        />
      ) : null}
      <circle
        cx="200"
        cy="105"
        r={(Number(ring) * scale) / 2}
        fill="none"
        stroke={palette.primary.main}
        strokeDasharray="5 4"
        strokeWidth="1.5"
      />
      <text x="302" y="24" fontSize="12" fill={palette.primary.main}>{`ring ${ring} ${unit}`}</text>
      {shown ? (
        <g stroke={palette.error.main} strokeWidth="1.5">
          <line x1={200 - (one * scale) / 2} x2={200 + (one * scale) / 2} y1="105" y2="105" />
          {diameter2 === null ? null : (
            <line x1="200" x2="200" y1={105 - (two * scale) / 2} y2={105 + (two * scale) / 2} />
          )}
          <text x="302" y="110" fontSize="16" stroke="none" fill={palette.text.primary}>
            {diameter2 === null ? `${one} ${unit}` : `${one} × ${two} ${unit}`}
          </text>
        </g>
      ) : null}
    </svg>
  );
}
