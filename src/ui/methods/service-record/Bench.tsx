'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../kit';

const WIDE = 560;
const x = (share: number): number => 10 + (WIDE - 20) * share;

/** The record as one strip of time: where the air was outside, where nothing was read, and from where on it is held. */
export function ServiceRecordBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const from = typeof values.from === 'number' ? values.from : null;
  const breaks = readRows(values.breaks);
  const words = String(values.words || 'A line for each reading of the air: time, temperature, humidity.');
  return (
    <Box>
      <svg viewBox={`0 0 ${WIDE} 70`} width="100%" style={{ maxWidth: 640 }} role="img" aria-label={words}>
        <rect x={10} y={18} width={WIDE - 20} height={28} fill={palette.divider} />
        {from === null ? null : (
          <rect
            x={x(from)}
            y={18}
            width={x(1) - x(from)}
            height={28}
            fill={palette.success.main}
            opacity={0.5}
          />
        )}
        {breaks.map(([kind, start, end, anew]) => (
          <rect
            key={`${kind} ${start}`}
            x={x(Number(start))}
            y={kind === 'gap' ? 24 : 18}
            width={Math.max(2, x(Number(end)) - x(Number(start)))}
            height={kind === 'gap' ? 16 : 28}
            fill={kind === 'gap' ? palette.background.paper : palette.warning.main}
            stroke={anew === 'anew' ? palette.error.main : palette.text.secondary}
          />
        ))}
        <text x={10} y={64} fontSize={13} fill={palette.text.secondary}>
          {`${values.rows ?? 0} readings; ochre: outside, hollow: nothing read, green: held without a break`}
        </text>
      </svg>
      <Typography>{words}</Typography>
    </Box>
  );
}
