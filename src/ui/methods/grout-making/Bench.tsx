'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** Four units around the space from above, and the plug that makes it twice as high as wide. */
export function GroutMakingBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const side = 44;
  const units = [
    [100 - side / 2, 100 - side / 2 - 34, 100, 34],
    [100 + side / 2, 100 - side / 2, 34, 100],
    [100 + side / 2 - 100, 100 + side / 2, 100, 34],
    [100 - side / 2 - 34, 100 + side / 2 - 100, 34, 100],
  ] as const;
  const plug = typeof values.plug === 'number' ? values.plug : null;
  const high = Number(values.height) || 7.6;
  const place = values.unit === 'in' ? 2 : 0;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox="0 0 220 220"
        width={200}
        height={200}
        role="img"
        aria-label="Four units around the space, from above"
      >
        {units.map(([x, y, width, height]) => (
          <rect
            key={`${x}/${y}`}
            x={x}
            y={y}
            width={width}
            height={height}
            fill={palette.divider}
            stroke={palette.text.primary}
          />
        ))}
        <rect
          x={100 - side / 2}
          y={100 - side / 2}
          width={side}
          height={side}
          fill={values.filled ? palette.text.disabled : palette.background.paper}
          stroke={palette.primary.main}
          strokeDasharray="4 3"
        />
      </svg>
      <svg
        viewBox="0 0 130 200"
        width={120}
        height={185}
        role="img"
        aria-label="The space from the side, with its plug"
      >
        <rect x={10} y={20} width={26} height={160} fill={palette.divider} stroke={palette.text.primary} />
        <rect x={94} y={20} width={26} height={160} fill={palette.divider} stroke={palette.text.primary} />
        {plug === null || plug < 0 ? null : (
          <rect
            x={37}
            y={180 - (plug / high) * 160}
            width={56}
            height={(plug / high) * 160}
            fill={palette.warning.main}
          />
        )}
      </svg>
      <Typography sx={{ fontWeight: 700 }}>
        {plug === null
          ? 'Type side and height: the plug follows.'
          : plug < 0
            ? 'The units are too low for this side.'
            : `Plug ${plug.toFixed(place)} ${values.unit}`}
      </Typography>
    </Box>
  );
}
