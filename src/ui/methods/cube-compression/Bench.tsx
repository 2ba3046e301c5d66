'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** Cracks of each failure pattern on the front face, a square of 120, drawn from the descriptions. */
const CRACKS: Readonly<Record<string, string>> = {
  even: 'M18 0Q38 60 18 120M102 0Q82 60 102 120M60 8L54 112',
  burst: 'M10 0Q44 60 10 120M110 0Q76 60 110 120M40 20L52 60L38 104M84 16L70 62L86 108',
  'bare-face': 'M96 0L84 50L100 120M108 0L98 60L112 120',
  corner: 'M72 0L92 44L120 58',
  tensile: 'M60 0L56 40L64 80L60 120',
  leaning: 'M30 0L66 120M60 0L96 120',
  spalled: 'M88 0Q70 60 88 120',
  other: 'M20 30L50 60L30 96M70 20L96 60L80 104',
};

/** A cube between the platens, its trowelled face to the side: whole before the load, as it failed afterwards. */
export function CubeBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { x, y, pattern, broken, guidance } = picture.values;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <svg
        viewBox="0 0 260 220"
        width={260}
        height={200}
        role="img"
        aria-label={broken ? 'The cube after the test' : 'The cube between the platens'}
      >
        <rect x={40} y={10} width={180} height={22} fill={palette.text.primary} />
        <rect x={40} y={182} width={180} height={22} fill={palette.text.primary} />
        <path
          d="M182 44L206 58V172L182 178Z"
          fill={palette.background.default}
          stroke={palette.text.primary}
          strokeDasharray="4 3"
        />
        <g transform="translate(62 46)">
          <rect width={120} height={132} y={-6} fill={palette.divider} stroke={palette.text.primary} />
          {broken && pattern ? (
            <path
              d={CRACKS[String(pattern)] ?? ''}
              fill="none"
              stroke={palette.error.main}
              strokeWidth={2.2}
            />
          ) : null}
        </g>
      </svg>
      <Typography color="text.secondary" variant="body2" component="div">
        {x && y ? (
          <Box className="mono">
            {x} × {y}
          </Box>
        ) : null}
        Dashed: the trowelled face, to the side.
        {guidance ? <Box sx={{ mt: 1 }}>{guidance}</Box> : null}
      </Typography>
    </Box>
  );
}
