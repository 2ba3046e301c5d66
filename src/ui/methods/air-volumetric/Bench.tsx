'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The neck of the meter: zero at the top, the level where the liquid stands, foam above it. */
export function AirVolumetricBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { level, scale, foam, air } = picture.values;
  const most = Number(scale);
  const y = (percent: number): number => 20 + (Math.min(Math.max(percent, 0), most) / most) * 150;
  const marks = Array.from({ length: most + 1 }, (_, index) => index);
  return (
    <svg
      viewBox="0 0 400 210"
      width="100%"
      height="210"
      role="img"
      aria-label={level === null ? 'Level not read yet' : `Level at ${level} percent`}
    >
      <path
        d="M150 14V178L100 204H300L250 178V14Z"
        fill={palette.background.default}
        stroke={palette.text.primary}
        strokeWidth="2"
      />
      {level === null ? null : (
        <g>
          <path
            d={`M151 ${y(Number(level))}V178L104 203H296L249 178V${y(Number(level))}Z`}
            fill={palette.divider}
          />
          <path
            d={`M151 ${y(Number(level)) - 3}Q200 ${y(Number(level)) + 5} 249 ${y(Number(level)) - 3}`}
            fill="none"
            stroke={palette.primary.main}
            strokeWidth="2.5"
          />
        </g>
      )}
      {level !== null && foam !== null
        ? Array.from({ length: Math.min(6, Math.ceil(Number(foam)) * 2) }, (_, index) => index).map(
            (index) => (
              <circle
                key={index}
                cx={165 + (index % 5) * 17}
                cy={y(Number(level)) - 8 - Math.floor(index / 5) * 9}
                r="5"
                fill="none"
                stroke={palette.text.secondary}
              />
            ),
          )
        : null}
      {marks.map((mark) => (
        <g key={mark}>
          <line x1="150" x2="168" y1={y(mark)} y2={y(mark)} stroke={palette.text.primary} />
          <text x="142" y={y(mark) + 4} fontSize="12" textAnchor="end" fill={palette.text.secondary}>
            {mark}
          </text>
        </g>
      ))}
      {level === null ? null : (
        <text x="262" y={y(Number(level)) + 6} fontSize="18" fill={palette.primary.main}>{`${level} %`}</text>
      )}
      {air === null ? null : (
        <text
          x="262"
          y="200"
          fontSize="14"
          fill={palette.text.primary}
        >{`air ${Number(air).toFixed(2)} %`}</text>
      )}
    </svg>
  );
}
