'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const WIDE = 560;
const [LEFT, RIGHT] = [20, 540] as const;
const MOST = 5;

const numberOf = (value: unknown): number | null => (typeof value === 'number' ? value : null);

/** What the gauge comes to, beside what is allowed of this screed. */
export function CarbideBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const moisture = numberOf(values.moisture);
  const allowed = numberOf(values.allowed);
  const most = Math.max(MOST, Math.ceil(moisture ?? 0));
  const x = (percent: number): number => LEFT + ((RIGHT - LEFT) * percent) / most;
  const words =
    moisture === null
      ? 'The gauge at ten minutes, and what was weighed.'
      : `${moisture} % by carbide${allowed === null ? '; the screed is not named, nothing is held against it' : `, ${allowed} % allowed`}.`;
  return (
    <Box>
      <svg viewBox={`0 0 ${WIDE} 110`} width="100%" style={{ maxWidth: 640 }} role="img" aria-label={words}>
        <line x1={LEFT} x2={RIGHT} y1={70} y2={70} stroke={palette.text.primary} />
        {Array.from({ length: most + 1 }, (_, percent) => percent).map((percent) => (
          <g key={percent}>
            <line x1={x(percent)} x2={x(percent)} y1={66} y2={74} stroke={palette.text.primary} />
            <text
              x={x(percent)}
              y={92}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.secondary}
              className="mono"
            >
              {`${percent} %`}
            </text>
          </g>
        ))}
        {moisture === null ? null : (
          <rect x={LEFT} y={44} width={x(moisture) - LEFT} height={22} fill={palette.primary.main} />
        )}
        {allowed === null ? null : (
          <g>
            <line
              x1={x(allowed)}
              x2={x(allowed)}
              y1={30}
              y2={74}
              stroke={palette.error.main}
              strokeWidth={2}
              strokeDasharray="7 4"
            />
            <text x={x(allowed)} y={22} fontSize={12} textAnchor="middle" fill={palette.error.main}>
              {`${allowed} % at most`}
            </text>
          </g>
        )}
      </svg>
      <Typography>{words}</Typography>
    </Box>
  );
}
