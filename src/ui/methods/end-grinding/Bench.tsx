'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { listed } from '../listed';

/** Where the feeler goes: three diameters at each end; and which specimens were measured. */
export function EndGrindingBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const labels = listed(picture.values.specimens);
  const done = new Set(listed(picture.values.done));
  return (
    <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
      <svg
        width={150}
        height={150}
        viewBox="0 0 150 150"
        role="img"
        aria-label="Three diameters for the feeler"
      >
        <circle cx={75} cy={75} r={64} fill={palette.divider} stroke={palette.text.primary} strokeWidth={2} />
        {[0, 60, 120].map((turn, index) => (
          <g key={turn} transform={`rotate(${turn} 75 75)`}>
            <line
              x1={11}
              x2={139}
              y1={75}
              y2={75}
              stroke={palette.primary.main}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
            <text x={22} y={70} fontSize={13} fill={palette.primary.main}>
              {index + 1}
            </text>
          </g>
        ))}
      </svg>
      <Box>
        {labels.map((label) => (
          <Typography
            key={label}
            className="mono"
            color={done.has(label) ? 'success.main' : 'text.secondary'}
          >
            {`${done.has(label) ? '✓' : '…'} ${label}`}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
