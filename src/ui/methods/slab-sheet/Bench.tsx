'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const DROPS = [
  [60, 52],
  [92, 44],
  [128, 66],
  [76, 92],
  [112, 104],
  [140, 128],
  [58, 134],
  [98, 148],
] as const;

/** The sheet from above with what was seen under it, and from which humidity on it could show anything. */
export function SlabSheetBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const seen = values.drops === true || values.dark === true;
  const could = typeof values.could === 'number' ? values.could : null;
  const words =
    values.drops === null || values.dark === null
      ? 'Look at both faces at once: they dry while you watch.'
      : seen
        ? 'Moisture is there: measure humidity in the slab.'
        : values.able === false
          ? 'Nothing seen, and nothing could be: inconclusive.'
          : 'None seen. It clears no coating by itself.';
  const at = (percent: number): number =>
    230 + (290 * Math.min(150, Math.max(50, percent) - 0) - 290 * 50) / 100;
  return (
    <Box>
      <svg viewBox="0 0 560 210" width="100%" style={{ maxWidth: 640 }} role="img" aria-label={words}>
        <rect x={10} y={10} width={190} height={190} fill={palette.divider} />
        <rect
          x={38}
          y={38}
          width={134}
          height={134}
          fill={values.dark === true ? palette.text.secondary : palette.background.paper}
          fillOpacity={values.dark === true ? 0.5 : 0.8}
          stroke={palette.text.primary}
          strokeWidth={6}
          strokeDasharray="2 0"
        />
        {values.drops === true
          ? DROPS.map(([x, y]) => (
              <circle
                key={`${x} ${y}`}
                cx={x}
                cy={y}
                r={5}
                fill="none"
                stroke={palette.primary.main}
                strokeWidth={2}
              />
            ))
          : null}
        <text x={230} y={60} fontSize={14} fill={palette.text.primary}>
          Drops form from a humidity of
        </text>
        <line x1={230} x2={520} y1={110} y2={110} stroke={palette.text.primary} />
        <rect
          x={at(80)}
          y={94}
          width={at(100) - at(80)}
          height={16}
          fill={palette.success.main}
          opacity={0.22}
        />
        {[50, 75, 100, 125, 150].map((percent) => (
          <g key={percent}>
            <line x1={at(percent)} x2={at(percent)} y1={106} y2={114} stroke={palette.text.primary} />
            <text
              x={at(percent)}
              y={132}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.secondary}
              className="mono"
            >
              {percent}
            </text>
          </g>
        ))}
        {could === null ? null : (
          <g>
            <line
              x1={at(could)}
              x2={at(could)}
              y1={84}
              y2={118}
              stroke={palette.primary.main}
              strokeWidth={4}
            />
            <text
              x={at(could)}
              y={80}
              fontSize={13}
              textAnchor="middle"
              fill={palette.text.primary}
              className="mono"
            >
              {`${could.toFixed(0)} %`}
            </text>
          </g>
        )}
        <text x={230} y={160} fontSize={12} fill={palette.text.secondary}>
          above 100: this sheet is too warm to show any
        </text>
        <text x={230} y={178} fontSize={12} fill={palette.text.secondary}>
          below 80: drops may come of its cold alone
        </text>
      </svg>
      <Typography>{words}</Typography>
    </Box>
  );
}
