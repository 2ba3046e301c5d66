'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { Fracture } from './Fracture';

const SLENDERNESS = 2;

/** The cylinder between the blocks, to its own proportions: whole before the load, as it broke afterwards. */
export function CylinderBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { diameter, length, fracture, broken, size } = picture.values;
  const ratio = diameter && length ? Number(length) / Number(diameter) : SLENDERNESS;
  const height = 190;
  const width = Math.min(150, Math.max(64, height / ratio));
  const left = 150 - width / 2;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <svg viewBox="0 0 300 260" width="280" height="230" role="img" aria-label={caption(fracture, broken)}>
        <rect x="80" y="6" width="140" height="20" fill={palette.text.primary} />
        <path d="M120 6a30 18 0 0 1 60 0" fill={palette.text.secondary} />
        <rect x="80" y={30 + height} width="140" height="20" fill={palette.text.primary} />
        <g transform={`translate(${left} 28)`}>
          <Fracture type={broken ? String(fracture ?? '') : ''} width={width} height={height} />
        </g>
        {diameter ? (
          <g stroke={palette.primary.main} fill={palette.primary.main}>
            <line
              x1={left}
              x2={left + width}
              y1={28 + height / 2}
              y2={28 + height / 2}
              strokeDasharray="4 3"
            />
            <text x={left + width + 8} y={32 + height / 2} fontSize="14" stroke="none">
              {`D ${diameter}`}
            </text>
          </g>
        ) : null}
        {length ? (
          <g stroke={palette.primary.main} fill={palette.primary.main}>
            <line x1={left - 10} x2={left - 10} y1={28} y2={28 + height} />
            <text x={left - 16} y={32 + height / 2} fontSize="14" textAnchor="end" stroke="none">
              {`L ${length}`}
            </text>
          </g>
        ) : null}
      </svg>
      <Typography color="text.secondary" variant="body2">
        {size ? `Nominal ${String(size).replace('x', ' × ')}` : ''}
      </Typography>
    </Box>
  );
}

function caption(fracture: unknown, broken: unknown): string {
  if (!broken) return 'The cylinder between the blocks, not loaded yet';
  return fracture
    ? `The broken cylinder, fracture type ${fracture}`
    : 'The broken cylinder, fracture not named yet';
}
