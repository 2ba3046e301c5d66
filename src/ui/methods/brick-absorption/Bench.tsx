'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const STEPS = [
  ['dry', 'Dry'],
  ['cold', 'After 24 h in cold water'],
  ['boiled', 'After 5 h of boiling'],
] as const;

/** The masses of a half, and how much of its pores cold water filled. */
export function BrickAbsorptionBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const [dry, cold, boiled] = [Number(values.dry), Number(values.cold), Number(values.boiled)];
  const filled = dry > 0 && cold > dry && boiled > dry ? Math.min(1, (cold - dry) / (boiled - dry)) : null;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox="0 0 180 110"
        width={180}
        height={110}
        role="img"
        aria-label="How much of its pores cold water filled"
      >
        <rect x={10} y={20} width={160} height={60} fill="none" stroke={palette.text.primary} />
        {filled === null ? null : (
          <rect
            x={10}
            y={20 + 60 * (1 - filled)}
            width={160}
            height={60 * filled}
            fill={palette.primary.main}
            opacity={0.5}
          />
        )}
        <text x={90} y={100} textAnchor="middle" fontSize={12} fill={palette.text.primary}>
          {filled === null
            ? 'masses to come'
            : `cold water filled ${(filled * 100).toFixed(0)} % of what boiling did`}
        </text>
      </svg>
      <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto auto', columnGap: 2 }}>
        {STEPS.map(([name, words]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Typography component="dt" color={values[name] ? 'text.primary' : 'text.secondary'}>
              {values[name] ? `✓ ${words}` : words}
            </Typography>
            <Typography component="dd" className="mono" sx={{ m: 0, textAlign: 'right' }}>
              {values[name] ? `${Number(values[name]).toFixed(1)} g` : 'to come'}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
