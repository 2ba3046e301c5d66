'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The brick, to scale as far as it is measured. */
export function BrickSizeBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const [L, W, H] = [
    Number(values.length) || 7.6,
    Number(values.width) || 3.6,
    Number(values.height) || 2.25,
  ];
  const scale = 200 / L;
  const [long, high, deep] = [200, H * scale, W * scale * 0.45];
  const [left, top] = [20, 20 + deep];
  const word = (value: unknown): string =>
    value ? Number(value).toFixed(values.unit === 'in' ? 2 : 0) : '?';
  const bow = values.warp ? (values.warped === 'bulged' ? -1 : 1) * 5 : 0;
  return (
    <Box>
      <svg
        viewBox={`0 0 ${long + deep + 90} ${top + high + 30}`}
        width="100%"
        style={{ maxWidth: 380 }}
        role="img"
        aria-label="The brick with its sizes"
      >
        <path
          d={`M${left} ${top}l${deep} ${-deep}h${long}l${-deep} ${deep}z`}
          fill={palette.background.paper}
          stroke={palette.text.primary}
        />
        <path
          d={`M${left + long} ${top}l${deep} ${-deep}v${high}l${-deep} ${deep}z`}
          fill={palette.action.hover}
          stroke={palette.text.primary}
        />
        <path
          d={`M${left} ${top}q${long / 2} ${bow * 2} ${long} 0v${high}h${-long}z`}
          fill={palette.divider}
          stroke={palette.text.primary}
        />
        <text
          x={left + long / 2}
          y={top + high + 18}
          textAnchor="middle"
          fontSize={13}
          fill={palette.text.primary}
        >
          {`${word(values.length)} ${values.unit}`}
        </text>
        <text
          x={left + long + deep + 8}
          y={top + high / 2 - deep / 2}
          fontSize={13}
          fill={palette.text.primary}
        >
          {`${word(values.height)} ${values.unit}`}
        </text>
        <text
          x={left + deep / 2 - 4}
          y={top - deep / 2 - 4}
          textAnchor="end"
          fontSize={13}
          fill={palette.text.primary}
        >
          {word(values.width)}
        </text>
      </svg>
      <Typography variant="body2" color="text.secondary">
        {`${values.places} of 4 places read`}
      </Typography>
    </Box>
  );
}
