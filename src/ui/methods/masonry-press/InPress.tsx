'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { Wedge } from './Wedge';

/** The unit between its caps, and the rates that break it in time. */
export function MasonryInPress({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { values } = picture;
  const [width, height] = [Number(values.length) || 15.6, Number(values.height) || 7.6];
  const scale = Math.min(150 / width, 90 / height);
  const [wide, high] = [width * scale, height * scale];
  const [left, top] = [100 - wide / 2, 78 - high / 2];
  const area = Number(values.area);
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox="0 0 200 160"
        width={200}
        height={160}
        role="img"
        aria-label={values.broken ? 'The unit after the test' : 'The unit between the platens'}
      >
        <rect x={10} y={4} width={180} height={16} fill={palette.text.primary} />
        <rect x={10} y={140} width={180} height={16} fill={palette.text.primary} />
        <rect
          x={left}
          y={top}
          width={wide}
          height={high}
          fill={palette.divider}
          stroke={palette.text.primary}
        />
        <rect x={left - 2} y={top - 5} width={wide + 4} height={5} fill={palette.warning.main} />
        <rect x={left - 2} y={top + high} width={wide + 4} height={5} fill={palette.warning.main} />
        {values.broken ? (
          <path
            d={`M${left} ${top}L${left + wide * 0.22} ${top + high * 0.5}L${left} ${top + high}M${left + wide} ${top}L${left + wide * 0.78} ${top + high * 0.5}L${left + wide} ${top + high}M${left + wide * 0.5} ${top}V${top + high}`}
            fill="none"
            stroke={palette.error.main}
            strokeWidth={2.2}
          />
        ) : null}
      </svg>
      <Box sx={{ minWidth: 240, flexGrow: 1 }}>
        {area > 0 ? (
          <Typography>
            {values.open ? 'Area so far: ' : values.gross ? 'Gross area: ' : 'Net area: '}
            <span className="mono">{`${area.toFixed(values.areaUnit === 'in2' ? 1 : 0)} ${values.areaUnit === 'in2' ? 'in²' : 'mm²'}`}</span>
          </Typography>
        ) : null}
        {values.open ? (
          <Typography
            color="warning.main"
            sx={{ fontWeight: 700 }}
          >{`Not settled: ${values.open}.`}</Typography>
        ) : null}
        <Wedge
          expected={numberOf(values.expected)}
          required={numberOf(values.required)}
          rate={numberOf(values.rate)}
          load={values.broken ? numberOf(values.load) : null}
          times={[Number(values.least), Number(values.most)]}
          force={String(values.force)}
        />
      </Box>
    </Box>
  );
}

function numberOf(value: unknown): number | null {
  return typeof value === 'number' ? value : null;
}
