'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The cylinder lying between its strips, its marked line upright; split along it afterwards. */
export function SplittingBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { diameter, length, lines, fracture, broken } = picture.values;
  const off = lines === 'no';
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <svg
        viewBox="0 0 320 220"
        width={320}
        height={210}
        role="img"
        aria-label={broken ? 'The cylinder after the split' : 'The cylinder lying between two strips'}
      >
        <rect x={30} y={8} width={250} height={20} fill={palette.text.primary} />
        <rect x={30} y={192} width={250} height={20} fill={palette.text.primary} />
        <rect x={96} y={28} width={18} height={6} fill={palette.warning.main} />
        <rect x={96} y={186} width={18} height={6} fill={palette.warning.main} />
        <rect
          x={105}
          y={34}
          width={150}
          height={152}
          fill={palette.background.default}
          stroke={palette.text.primary}
        />
        <ellipse
          cx={255}
          cy={110}
          rx={26}
          ry={76}
          fill={palette.background.default}
          stroke={palette.text.primary}
        />
        <circle
          cx={105}
          cy={110}
          r={76}
          fill={palette.divider}
          stroke={palette.text.primary}
          strokeWidth={1.5}
        />
        <line
          x1={off ? 88 : 105}
          y1={off ? 36 : 34}
          x2={off ? 122 : 105}
          y2={off ? 184 : 186}
          stroke={broken ? palette.error.main : palette.primary.main}
          strokeWidth={broken ? 3.5 : 2}
          strokeDasharray={broken ? undefined : '7 5'}
        />
        {fracture === 'crushed' ? (
          <path d="M82 40L105 66L128 40Z" fill="none" stroke={palette.error.main} strokeWidth={2.5} />
        ) : null}
      </svg>
      <Typography color="text.secondary" variant="body2" component="div">
        {diameter && length ? (
          <Box className="mono">
            {`d ${Number(diameter).toFixed(2)}`}
            <br />
            {`l ${Number(length).toFixed(2)}`}
          </Box>
        ) : null}
        Ochre: the two strips, used once.
      </Typography>
    </Box>
  );
}
