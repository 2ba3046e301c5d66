'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../kit';

const WIDE = 560;
const LEFT = 20;
const RIGHT = WIDE - 20;
/** The scale that is drawn; nothing on concrete lies outside of it. */
const FROM = 4;
const TO = 14;

/** Every puddle on the scale with what is allowed: one that did not stand a minute is hollow. Never a mean. */
export function SurfacePhBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const [low, high] = [Number(values.low), Number(values.high)];
  const puddles = readRows(values.puddles).map(([place = '', pH = '', counts], order) => ({
    id: `${order} ${place}`,
    place,
    pH: Number(pH),
    counts: counts === 'in',
    y: 56 + 26 * order,
  }));
  const x = (pH: number): number =>
    LEFT + ((RIGHT - LEFT) * (Math.min(TO, Math.max(FROM, pH)) - FROM)) / (TO - FROM);
  const height = 96 + 26 * Math.max(1, puddles.length);
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} ${height}`}
        width="100%"
        style={{ maxWidth: 640 }}
        role="img"
        aria-label={`pH of ${puddles.length} ${puddles.length === 1 ? 'puddle' : 'puddles'}, ${low} to ${high} allowed`}
      >
        <rect
          x={x(low)}
          y={30}
          width={x(high) - x(low)}
          height={height - 44}
          fill={palette.success.main}
          opacity={0.16}
        />
        {Array.from({ length: TO - FROM + 1 }, (_, place) => FROM + place).map((pH) => (
          <g key={pH}>
            <line x1={x(pH)} x2={x(pH)} y1={30} y2={height - 14} stroke={palette.divider} />
            <text
              x={x(pH)}
              y={20}
              fontSize={13}
              textAnchor="middle"
              fill={palette.text.secondary}
              className="mono"
            >
              {pH}
            </text>
          </g>
        ))}
        {puddles.map(({ id, place, pH, counts, y }) => {
          const colour = counts && (pH < low || pH > high) ? palette.error.main : palette.text.primary;
          return (
            <g key={id}>
              <circle
                cx={x(pH)}
                cy={y}
                r={8}
                fill={counts ? colour : 'none'}
                stroke={colour}
                strokeWidth={2}
              />
              <text
                x={pH > (FROM + TO) / 2 ? x(pH) - 14 : x(pH) + 14}
                y={y + 4}
                fontSize={13}
                textAnchor={pH > (FROM + TO) / 2 ? 'end' : 'start'}
                fill={palette.text.primary}
              >
                {`${place} ${pH}${counts ? '' : ', does not count'}`}
              </text>
            </g>
          );
        })}
      </svg>
      <Typography color="text.secondary">
        {puddles.length === 0
          ? `${low} to ${high} is allowed here. A puddle, a minute, the strip: each place by itself.`
          : `${low} to ${high} is allowed. A pH is never averaged: it is the power of a number.`}
      </Typography>
    </Box>
  );
}
