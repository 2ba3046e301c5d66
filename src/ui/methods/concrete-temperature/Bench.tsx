'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The reading on a scale with the limits of the project. */
export function TemperatureBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { temperature, maximum, minimum, unit } = picture.values;
  const fahrenheit = unit === '°F';
  const low = fahrenheit ? 30 : 0;
  const high = fahrenheit ? 110 : 45;
  const x = (value: number): number =>
    20 + ((Math.min(Math.max(value, low), high) - low) / (high - low)) * 360;
  const ticks = Array.from({ length: 9 }, (_, index) => low + (index * (high - low)) / 8);
  return (
    <svg
      viewBox="0 0 400 110"
      width="100%"
      height="110"
      role="img"
      aria-label={
        temperature === null
          ? 'Temperature not read yet'
          : `Concrete temperature ${temperature} ${unit}, limit ${maximum} ${unit}`
      }
    >
      <rect
        x="20"
        y="44"
        width="360"
        height="18"
        fill={palette.background.default}
        stroke={palette.divider}
      />
      <rect
        x={minimum === null ? 20 : x(Number(minimum))}
        y="44"
        width={x(Number(maximum)) - (minimum === null ? 20 : x(Number(minimum)))}
        height="18"
        fill={palette.success.light}
      />
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1="62" y2="68" stroke={palette.text.secondary} />
          <text x={x(tick)} y="82" fontSize="12" textAnchor="middle" fill={palette.text.secondary}>
            {Math.round(tick)}
          </text>
        </g>
      ))}
      <line
        x1={x(Number(maximum))}
        x2={x(Number(maximum))}
        y1="38"
        y2="68"
        stroke={palette.error.main}
        strokeWidth="2"
      />
      <text x={x(Number(maximum))} y="102" fontSize="12" textAnchor="middle" fill={palette.error.main}>
        {`limit ${maximum} ${unit}`}
      </text>
      {temperature === null ? null : (
        <g>
          <path d={`M${x(Number(temperature))} 42l-7 -12h14z`} fill={palette.primary.main} />
          <text
            x={x(Number(temperature))}
            y="24"
            fontSize="18"
            fontWeight="700"
            textAnchor="middle"
            fill={palette.primary.main}
          >
            {`${temperature} ${unit}`}
          </text>
        </g>
      )}
    </svg>
  );
}
