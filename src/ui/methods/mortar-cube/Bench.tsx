'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** A small cube under the spherical block, its struck face to the side; crushed to an hourglass afterwards. */
export function MortarCubeBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { faces, found, side, broken } = picture.values;
  const up = faces === 'struck';
  const faulty = found !== null && found !== 'sound';
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <svg
        viewBox="0 0 260 220"
        width={260}
        height={200}
        role="img"
        aria-label={broken ? 'The mortar cube after the test' : 'The mortar cube between the platens'}
      >
        <path d="M40 34H220V20Q130 -14 40 20Z" fill={palette.text.primary} />
        <rect x={40} y={150} width={180} height={22} fill={palette.text.primary} />
        <rect x={70} y={172} width={120} height={30} fill={palette.text.secondary} />
        {broken ? (
          <path
            d="M76 36H184Q150 92 184 148H76Q110 92 76 36Z"
            fill={palette.divider}
            stroke={palette.text.primary}
          />
        ) : (
          <path
            d={faulty ? 'M74 36H158L186 66V148H74Z' : 'M74 36H186V148H74Z'}
            fill={palette.divider}
            stroke={palette.text.primary}
          />
        )}
        {broken ? null : (
          <line
            x1={up ? 74 : 186}
            y1={36}
            x2={186}
            y2={up ? 36 : 148}
            stroke={up ? palette.error.main : palette.primary.main}
            strokeWidth={4}
            strokeDasharray="6 4"
          />
        )}
      </svg>
      <Typography color="text.secondary" variant="body2" component="div">
        <Box className="mono">{`side ${side}`}</Box>
        Dashed: the struck face{up ? ', under the platen' : ', to the side'}.
      </Typography>
    </Box>
  );
}
