'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The prism between the platens, twice as high as wide; its cones afterwards. */
export function GroutPrismBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { x, y, height, capped, leaning, broken } = picture.values;
  const wide = Math.min(Number(x), Number(y));
  const ratio = wide > 0 && height ? Number(height) / wide : 2;
  const width = Math.max(40, Math.min(110, 150 / ratio));
  const left = 130 - width / 2;
  const shift = leaning ? 14 : 0;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <svg
        viewBox="0 0 260 220"
        width={260}
        height={200}
        role="img"
        aria-label={broken ? 'The grout prism after the test' : 'The grout prism between the platens'}
      >
        <rect x={50} y={6} width={160} height={20} fill={palette.text.primary} />
        <rect x={50} y={194} width={160} height={20} fill={palette.text.primary} />
        {capped ? (
          <>
            <rect x={left + shift - 3} y={26} width={width + 6} height={7} fill={palette.warning.main} />
            <rect x={left - 3} y={187} width={width + 6} height={7} fill={palette.warning.main} />
          </>
        ) : null}
        <path
          d={`M${left} 187L${left + shift} 33H${left + shift + width}L${left + width} 187Z`}
          fill={palette.divider}
          stroke={palette.text.primary}
        />
        {broken ? (
          <path
            d={`M${left} 33L${130} 108L${left + width} 33M${left} 187L${130} 112L${left + width} 187M${left + width * 0.3} 76V146M${left + width * 0.72} 74V148`}
            fill="none"
            stroke={palette.error.main}
            strokeWidth={2.2}
          />
        ) : null}
      </svg>
      <Typography color="text.secondary" variant="body2" component="div">
        {x && y ? (
          <Box className="mono">
            {`${Number(x).toFixed(2)} × ${Number(y).toFixed(2)}`}
            {height ? (
              <>
                <br />
                {`${ratio.toFixed(2)} times as high`}
              </>
            ) : null}
          </Box>
        ) : null}
        {capped ? 'Ochre: the caps.' : 'Height twice the width.'}
      </Typography>
    </Box>
  );
}
