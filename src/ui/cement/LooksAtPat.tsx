'use client';
import { Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../methods/kit';

const WIDE = 520;

/** What each needle left at each look, over the minutes since the water. */
export function LooksAtPat({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const looks = readRows(values.looks).map(([minutes, light, heavy]) => ({
    minutes: Number(minutes),
    light,
    heavy,
  }));
  if (looks.length === 0)
    return <Typography color="text.secondary">Each look at the pat stands here.</Typography>;
  const last = Math.max(60, ...looks.map(({ minutes }) => minutes));
  const x = (minutes: number): number => 70 + (minutes / last) * (WIDE - 90);
  return (
    <svg
      viewBox={`0 0 ${WIDE} 112`}
      width="100%"
      style={{ maxWidth: 680 }}
      role="img"
      aria-label={`${looks.length} looks at the pat: ${looks.map(({ minutes, light, heavy }) => `${minutes} min, light ${light}, heavy ${heavy}`).join('; ')}`}
    >
      {(['light', 'heavy'] as const).map((needle, row) => (
        <g key={needle}>
          <text x={62} y={34 + row * 34} fontSize={13} textAnchor="end" fill={palette.text.primary}>
            {needle}
          </text>
          <path d={`M 70 ${30 + row * 34} H ${WIDE - 14}`} stroke={palette.divider} />
          {looks.map(({ minutes, [needle]: left }) =>
            left === 'none' ? (
              <circle key={minutes} cx={x(minutes)} cy={30 + row * 34} r={4} fill={palette.primary.main} />
            ) : (
              <circle
                key={minutes}
                cx={x(minutes)}
                cy={30 + row * 34}
                r={7}
                fill={palette.background.paper}
                stroke={palette.text.primary}
                strokeWidth={2}
              />
            ),
          )}
        </g>
      ))}
      {looks.map(({ minutes }) => (
        <text
          key={minutes}
          x={x(minutes)}
          y={96}
          fontSize={11}
          textAnchor="middle"
          fill={palette.text.secondary}
          className="mono"
        >
          {minutes}
        </text>
      ))}
      <text x={70} y={110} fontSize={11} fill={palette.text.secondary}>
        min since the water; a ring is a whole circle, a dot none
      </text>
    </svg>
  );
}
