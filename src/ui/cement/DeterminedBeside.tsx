'use client';
import { Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import { UNITS, type UnitId, unitLabel } from '@/core/quantity';
import type { BenchProps } from '../methods/kit';

const WIDE = 520;
const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);

/** The determinations of a test on one scale, with their mean and what the type asks for. */
export function DeterminedBeside({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const all = readRows(values.determined).map(([label = '', value, why = '']) => ({
    label,
    value: Number(value),
    why,
  }));
  if (all.length === 0)
    return <Typography color="text.secondary">Each determination stands here as it is read.</Typography>;
  const [mean, low, high] = [values.value, values.low, values.high].map(number);
  const marks = [...all.map(({ value }) => value), ...[mean, low, high].flatMap((each) => each ?? [])];
  const [least, most] = [Math.min(...marks), Math.max(...marks)];
  const rim = (most - least || Math.abs(most) || 1) * 0.12;
  const x = (value: number): number => 12 + ((value - least + rim) / (most - least + 2 * rim)) * (WIDE - 24);
  const unit = Object.hasOwn(UNITS, String(values.unit)) ? unitLabel(String(values.unit) as UnitId) : '';
  const [top, base] = [34, 34 + all.length * 24];
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${base + 44}`}
      width="100%"
      style={{ maxWidth: 680 }}
      role="img"
      aria-label={`${String(values.quantity)}: ${all.map(({ label, value }) => `${label} ${value}`).join(', ')} ${unit}${values.asked ? `; asked for ${String(values.asked)}` : ''}`}
    >
      {low === null && high === null ? null : (
        <>
          <rect
            x={low === null || low === undefined ? 0 : x(low)}
            y={top - 14}
            width={
              (high === null || high === undefined ? WIDE : x(high)) -
              (low === null || low === undefined ? 0 : x(low))
            }
            height={base - top + 22}
            fill={palette.success.main}
            opacity={0.13}
          />
          <text x={12} y={14} fontSize={12} fill={palette.success.main}>
            {`asked for ${String(values.asked)}`}
          </text>
        </>
      )}
      {all.map(({ label, value, why }, place) => (
        <g key={label} transform={`translate(${x(value)} ${top + place * 24})`}>
          {why ? (
            <path d="M -5 -5 l 10 10 m 0 -10 l -10 10" stroke={palette.error.main} strokeWidth={2} />
          ) : (
            <circle r={6} fill={palette.primary.main} />
          )}
          <text
            x={x(value) > WIDE * 0.6 ? -10 : 10}
            y={4}
            fontSize={12}
            textAnchor={x(value) > WIDE * 0.6 ? 'end' : 'start'}
            fill={palette.text.primary}
          >
            {`${label} ${value} ${unit}${why ? `, ${why}` : ''}`}
          </text>
        </g>
      ))}
      {mean === null || mean === undefined ? null : (
        <path
          d={`M ${x(mean)} ${top - 16} V ${base + 6}`}
          stroke={palette.text.primary}
          strokeDasharray="5 3"
        />
      )}
      <path d={`M 12 ${base + 8} H ${WIDE - 12}`} stroke={palette.text.secondary} />
      {mean === null || mean === undefined ? null : (
        <text
          x={Math.min(Math.max(x(mean), 60), WIDE - 60)}
          y={base + 28}
          fontSize={13}
          textAnchor="middle"
          fill={palette.text.primary}
          className="mono"
        >
          {`${Number(mean.toPrecision(4))} ${unit}`}
        </text>
      )}
    </svg>
  );
}
