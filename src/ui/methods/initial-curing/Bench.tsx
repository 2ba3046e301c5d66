'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The temperature of the first hours against its range: the record as a curve, or lowest and highest as a bar. */
export function InitialCuringBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { low, high, minimum, maximum, curve, unit } = picture.values;
  const points = String(curve ?? '')
    .split(';')
    .filter(Boolean)
    .map((pair) => pair.split(' ').map(Number) as [number, number]);
  const values = [
    Number(low),
    Number(high),
    ...points.map(([, value]) => value),
    ...[minimum, maximum].filter((each) => each !== null).map(Number),
  ];
  const bottom = Math.min(...values) - 4;
  const top = Math.max(...values) + 4;
  const last = points.at(-1)?.[0] ?? 1;
  const x = (hours: number): number => 44 + (hours / (last || 1)) * 330;
  const y = (value: number): number => 150 - ((value - bottom) / (top - bottom)) * 130;
  return (
    <svg
      viewBox="0 0 400 190"
      width="100%"
      height="190"
      role="img"
      aria-label={
        maximum === null ? 'Temperature not read yet' : `Initial curing ${minimum} to ${maximum} ${unit}`
      }
    >
      <rect
        x="44"
        y={y(Number(high))}
        width="330"
        height={y(Number(low)) - y(Number(high))}
        fill={palette.success.light}
      />
      {[low, high].map((limit) => (
        <text
          key={String(limit)}
          x="40"
          y={y(Number(limit)) + 4}
          fontSize="12"
          textAnchor="end"
          fill={palette.text.secondary}
        >
          {String(limit)}
        </text>
      ))}
      <line x1="44" x2="374" y1="150" y2="150" stroke={palette.text.primary} />
      {points.length > 1 ? (
        <g>
          <polyline
            points={points.map(([hours, value]) => `${x(hours)},${y(value)}`).join(' ')}
            fill="none"
            stroke={palette.primary.main}
            strokeWidth="2"
          />
          <text x="374" y="168" fontSize="12" textAnchor="end" fill={palette.text.secondary}>
            {`${last.toFixed(0)} h`}
          </text>
          <text x="44" y="168" fontSize="12" fill={palette.text.secondary}>
            0
          </text>
        </g>
      ) : minimum !== null || maximum !== null ? (
        <line
          x1="209"
          x2="209"
          y1={y(Number(minimum ?? maximum))}
          y2={y(Number(maximum ?? minimum))}
          stroke={palette.primary.main}
          strokeWidth="10"
          strokeLinecap="square"
        />
      ) : null}
      <text x="44" y="186" fontSize="13" fill={palette.text.primary}>
        {maximum === null && minimum === null
          ? `Range ${low} to ${high} ${unit}`
          : `lowest ${minimum ?? '–'}, highest ${maximum ?? '–'} ${unit}`}
      </text>
    </svg>
  );
}
