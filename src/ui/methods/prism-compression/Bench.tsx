'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { Wedge } from '../masonry-press/Wedge';

/** The prism between the platens to its own shape, its factor, and the rates that break it in time. */
export function PrismCompressionBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const ratio = Number(values.ratio) || 2;
  const courses = Math.max(2, Math.min(8, Number(values.courses) || 2));
  const high = Math.min(150, 64 * ratio);
  const wide = high / ratio;
  const [left, top] = [80 - wide / 2, 100 - high / 2];
  const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox="0 0 160 200"
        width={160}
        height={200}
        role="img"
        aria-label={values.broken ? 'The prism after the test' : 'The prism between the platens'}
      >
        <rect x={10} y={top - 20} width={140} height={15} fill={palette.text.primary} />
        <rect x={10} y={top + high + 5} width={140} height={15} fill={palette.text.primary} />
        <rect x={left - 2} y={top - 5} width={wide + 4} height={5} fill={palette.warning.main} />
        <rect x={left - 2} y={top + high} width={wide + 4} height={5} fill={palette.warning.main} />
        {Array.from({ length: courses }, (_, course) => top + (course * high) / courses).map((y) => (
          <rect
            key={y}
            x={left}
            y={y}
            width={wide}
            height={high / courses - 2}
            fill={palette.divider}
            stroke={palette.text.primary}
          />
        ))}
        {values.broken ? (
          <path
            d={`M${left} ${top}l${wide * 0.3} ${high * 0.5}l${-wide * 0.3} ${high * 0.5}M${left + wide} ${top}l${-wide * 0.3} ${high * 0.5}l${wide * 0.3} ${high * 0.5}`}
            fill="none"
            stroke={palette.error.main}
            strokeWidth={2.2}
          />
        ) : null}
      </svg>
      <Box sx={{ minWidth: 240, flexGrow: 1 }}>
        <Typography className="mono">
          {values.ratio
            ? `h/t ${Number(values.ratio).toFixed(2)}${values.factor ? `, factor ${Number(values.factor).toFixed(3)}` : ', no factor'}`
            : 'h/t to be measured'}
        </Typography>
        {values.mode ? <Typography>{String(values.mode)}</Typography> : null}
        <Wedge
          expected={number(values.expected)}
          required={number(values.required)}
          rate={number(values.rate)}
          load={values.broken ? number(values.load) : null}
          times={[Number(values.least), Number(values.most)]}
          force={String(values.force)}
        />
      </Box>
    </Box>
  );
}
