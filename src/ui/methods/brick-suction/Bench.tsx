'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The brick on its supports in the tray, with what it drew up. */
export function BrickSuctionBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  return (
    <Box>
      <svg
        viewBox="0 0 300 110"
        width="100%"
        style={{ maxWidth: 380 }}
        role="img"
        aria-label="The brick in the tray"
      >
        <path d="M20 60v38h260v-38" fill="none" stroke={palette.text.primary} strokeWidth={2} />
        <rect x={21} y={78} width={258} height={19} fill={palette.primary.main} opacity={0.35} />
        <rect x={90} y={84} width={8} height={13} fill={palette.text.primary} />
        <rect x={200} y={84} width={8} height={13} fill={palette.text.primary} />
        <rect x={60} y={24} width={180} height={60} fill={palette.divider} stroke={palette.text.primary} />
        <path
          d="M120 76v-22m-6 8l6-8 6 8M180 76v-22m-6 8l6-8 6 8"
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={2}
        />
      </svg>
      <Typography sx={{ fontWeight: 700 }}>
        {typeof values.rate === 'number'
          ? `${values.rate.toFixed(1)} g in a minute on 30 in² [193.55 cm²]`
          : 'Weigh it, set it down, lift it after a minute, weigh again.'}
      </Typography>
    </Box>
  );
}
