'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { Section } from './Section';

const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);

/** The piece to scale between the points, and where its width and depth lie among those that the method takes. */
export function PointLoadBench({ picture }: BenchProps) {
  const { values } = picture;
  const [depth, width] = [number(values.depth), number(values.width)];
  const [top, bottom] = [number(values.top) ?? width, number(values.bottom) ?? width];
  if (depth === null || width === null || top === null || bottom === null)
    return (
      <Typography color="text.secondary">
        With its depth and width the piece stands here between the points, to scale.
      </Typography>
    );
  const unit = values.system === 'US' ? 'in' : 'mm';
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 1 }}>
      <Box>
        <Section
          depth={depth}
          top={top}
          bottom={bottom}
          freeEnd={number(values.freeEnd)}
          share={number(values.share) ?? 0.5}
        />
        <Typography variant="body2">
          {`${depth} ${unit} between the points, ${Number(width.toPrecision(4))} ${unit} wide${number(values.diameter) === null ? '' : `, equal to a core of ${Number((number(values.diameter) ?? 0).toPrecision(3))} ${unit}`}.`}
        </Typography>
        <Expected picture={picture} />
      </Box>
      {values.type === 'diametral' ? null : <Envelope picture={picture} depth={depth} width={width} />}
    </Box>
  );
}

/** The load that is expected of this piece, how fast it comes within its time, and how many strokes of the pump. */
function Expected({ picture: { values } }: BenchProps) {
  const [load, soonest, latest] = [values.expected, values.soonest, values.latest].map(number);
  if (!load || !soonest || !latest) return null;
  const unit = values.system === 'US' ? 'lbf' : 'kN';
  const show = (value: number): string => Number(value.toPrecision(2)).toLocaleString('en-US');
  const stroke = number(values.stroke);
  const strokes = stroke ? Math.max(1, Math.round(load / stroke)) : null;
  return (
    <Typography variant="body2">
      {`About ${show(load)} ${unit} is expected: ${show(load / latest)} to ${show(load / soonest)} ${unit}/s.`}
      {strokes
        ? ` ${strokes} ${strokes === 1 ? 'stroke' : 'strokes'}, one every ${show(soonest / strokes)} to ${show(latest / strokes)} s.`
        : ''}
    </Typography>
  );
}

const SIZE = 200;

/** Width against depth: the field that the method takes is shaded, the piece is the dot in it or outside. */
function Envelope({ picture, depth, width }: BenchProps & { depth: number; width: number }) {
  const { palette } = useTheme();
  const { values } = picture;
  const [least, most] = [number(values.least) ?? 0, number(values.most) ?? 1];
  const [low, high] = [number(values.lowRatio) ?? 0, number(values.highRatio) ?? 1];
  const end = Math.max(most * 1.25, width * 1.1, depth * 1.1);
  const at = (value: number): number => 24 + (value / end) * (SIZE - 30);
  const up = (value: number): number => SIZE - at(value);
  const clamp = (value: number): number => Math.min(most, Math.max(least, value));
  // The corners of the field, along the flat side and back along the tall one.
  const corners = [
    [least, clamp(least * low)],
    [most, clamp(most * low)],
    [most, clamp(most * high)],
    [least, clamp(least * high)],
  ] as const;
  const ratio = depth / width;
  const inside =
    [depth, width].every((each) => each >= least && each <= most) && ratio >= low && ratio <= high;
  return (
    <Box>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        width="100%"
        style={{ maxWidth: 260 }}
        role="img"
        aria-label="Depth against width"
      >
        <polygon
          points={corners.map(([w, d]) => `${at(w)},${up(d)}`).join(' ')}
          fill={palette.success.light}
          stroke={palette.success.main}
        />
        <line
          x1={at(0)}
          y1={up(0)}
          x2={at(end)}
          y2={up(end * high)}
          stroke={palette.text.secondary}
          strokeDasharray="4 3"
        />
        <line x1={at(0)} y1={up(0)} x2={at(end)} y2={up(0)} stroke={palette.text.primary} />
        <line x1={at(0)} y1={up(0)} x2={at(0)} y2={up(end)} stroke={palette.text.primary} />
        <text x={SIZE - 6} y={SIZE - 8} fontSize={11} textAnchor="end" fill={palette.text.secondary}>
          width
        </text>
        <text x={4} y={14} fontSize={11} fill={palette.text.secondary}>
          depth
        </text>
        <circle
          cx={at(width)}
          cy={up(depth)}
          r={5}
          fill={inside ? palette.success.main : palette.error.main}
        />
      </svg>
      <Typography sx={{ fontWeight: 700, color: inside ? 'success.main' : 'error.main' }}>
        {inside ? '✓ Shape as the method takes it' : '✕ Outside what the method takes'}
      </Typography>
    </Box>
  );
}
