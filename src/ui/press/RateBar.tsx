'use client';
import { useTheme } from '@mui/material';

const LABELLED = 110;

/** The rate against its band: a needle on a bar, the band between its own marks; told by place as well as by colour. */
export function RateBar({
  rate,
  low,
  high,
  counts,
  unit,
}: {
  rate: number | null;
  low: number;
  high: number;
  /** True where the band counts now. */
  counts: boolean;
  unit: string;
}) {
  const { palette } = useTheme();
  const end = high * 2;
  const at = (value: number): number => 20 + (560 * Math.min(Math.max(value, 0), end)) / end;
  const inside = rate !== null && rate >= low && rate <= high;
  const colour = !counts ? palette.text.secondary : inside ? palette.success.main : palette.error.main;
  const words =
    rate === null
      ? 'Rate not known yet'
      : `Rate ${rate.toPrecision(3)} ${unit}, band ${low.toPrecision(3)} to ${high.toPrecision(3)}`;
  return (
    <svg viewBox="0 0 600 92" width="100%" role="img" aria-label={words}>
      <rect
        x={20}
        y={30}
        width={560}
        height={26}
        fill={palette.background.default}
        stroke={palette.divider}
      />
      <rect
        x={at(low)}
        y={24}
        width={at(high) - at(low)}
        height={38}
        fill={palette.success.light}
        stroke={palette.success.main}
        strokeWidth={counts ? 2.5 : 1}
        strokeDasharray={counts ? undefined : '5 4'}
      />
      {[low, (low + high) / 2, high].map((value, index) =>
        // In a narrow band there is no room between its ends.
        index === 1 && at(high) - at(low) < LABELLED ? null : (
          <text
            key={value}
            x={at(value)}
            y={82}
            fontSize={15}
            textAnchor={(['end', 'middle', 'start'] as const)[index]}
            fill={palette.text.secondary}
            className="mono"
          >
            {Number(value.toPrecision(3))}
          </text>
        ),
      )}
      {rate === null ? null : (
        <g fill={colour}>
          <path d={`M${at(rate) - 11} 4h22l-11 20z`} />
          <rect x={at(rate) - 2.5} y={20} width={5} height={46} />
        </g>
      )}
    </svg>
  );
}
