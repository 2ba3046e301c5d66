'use client';
import { Box, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The brick on its two supports, the load in the middle, and where it broke. */
export function BrickFlexureBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const span = Number(values.span) || 6.6;
  const length = Number(values.length) || span + 1;
  const scale = 260 / length;
  const [middle, half] = [160, (span * scale) / 2];
  const off = typeof values.off === 'number' ? Math.min(values.off * scale, half) : null;
  return (
    <Box>
      <svg
        viewBox="0 0 320 120"
        width="100%"
        style={{ maxWidth: 420 }}
        role="img"
        aria-label="The brick on its supports"
      >
        <rect x={30} y={50} width={260} height={40} fill={palette.divider} stroke={palette.text.primary} />
        <path
          d={`M${middle} 8v30m-7 -9l7 9 7 -9`}
          fill="none"
          stroke={palette.text.primary}
          strokeWidth={2}
        />
        <rect x={middle - 22} y={44} width={44} height={6} fill={palette.text.primary} />
        {[middle - half, middle + half].map((x) => (
          <path key={x} d={`M${x} 91l-9 15h18z`} fill={palette.text.primary} />
        ))}
        {off === null ? null : (
          <>
            <path
              d={`M${middle + off} 90l-4 -14 6 -12 -4 -14`}
              fill="none"
              stroke={palette.error.main}
              strokeWidth={2.5}
            />
            <path d={`M${middle} 112h${off}`} stroke={palette.error.main} strokeWidth={2} />
          </>
        )}
        <path d={`M${middle} 92v26`} stroke={palette.text.secondary} strokeDasharray="3 3" />
      </svg>
    </Box>
  );
}
