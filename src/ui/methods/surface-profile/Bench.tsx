'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../kit';

const WIDE = 560;
const EACH = (WIDE - 20) / 10;
const left = (chip: number): number => 10 + EACH * (chip - 1);

/** A rough line from the side, the rougher the higher its chip; the same every time. */
function rough(chip: number): string {
  const points = Array.from({ length: 15 }, (_, place) => {
    const wave = Math.sin(place * 2.3 + chip) + 0.6 * Math.sin(place * 5.1 + 2 * chip);
    return `${(left(chip) + 4 + (place * (EACH - 8)) / 14).toFixed(1)},${(58 - wave * chip * 1.25).toFixed(1)}`;
  });
  return `M${points.join('L')}`;
}

/** Ten chips from the side, what is asked for among them, and every spot between its two. */
export function SurfaceProfileBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const [low, high] = [values.low, values.high].map((each) => (typeof each === 'number' ? each : null));
  const spots = readRows(values.spots).map(([place = '', from, to], order) => ({
    id: `${order} ${place}`,
    place,
    from: Number(from),
    to: Number(to),
    y: 122 + 28 * order,
  }));
  const asked = low && high ? `Chips ${low} to ${high} are asked for.` : 'Nothing is asked of it.';
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} ${130 + 28 * spots.length}`}
        width="100%"
        style={{ maxWidth: 640 }}
        role="img"
        aria-label={`${spots.length} ${spots.length === 1 ? 'spot' : 'spots'} compared. ${asked}`}
      >
        {low && high ? (
          <rect
            x={left(low)}
            y={6}
            width={left(high) + EACH - left(low)}
            height={120 + 28 * spots.length}
            fill={palette.success.main}
            opacity={0.16}
          />
        ) : null}
        {Array.from({ length: 10 }, (_, place) => place + 1).map((chip) => (
          <g key={chip}>
            <path d={rough(chip)} fill="none" stroke={palette.text.primary} strokeWidth={1.5} />
            <text
              x={left(chip) + EACH / 2}
              y={98}
              fontSize={14}
              textAnchor="middle"
              fill={palette.text.secondary}
              className="mono"
            >
              {chip}
            </text>
          </g>
        ))}
        {spots.map(({ id, place, from, to, y }) => {
          const out = low && high ? from < low || to > high : false;
          const wide = left(to) + EACH - left(from) - 8;
          return (
            <g key={id}>
              <rect
                x={left(from) + 4}
                y={y - 10}
                width={Math.max(8, wide)}
                height={16}
                rx={2}
                fill={out ? palette.error.main : palette.primary.main}
              />
              <text
                x={from > 5 ? left(from) - 4 : left(to) + EACH + 4}
                y={y + 3}
                fontSize={13}
                textAnchor={from > 5 ? 'end' : 'start'}
                fill={palette.text.primary}
              >
                {place}
              </text>
            </g>
          );
        })}
      </svg>
      <Typography color="text.secondary">{`${asked} Light from the side, look and feel.`}</Typography>
    </Box>
  );
}
