'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../kit';

const WIDE = 560;
const FROM = 170;

/** Places in their order, the highest first, with those that are worth a hole. Shades of one colour: it judges nothing. */
export function ImpedanceBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const scale = Number(values.scale ?? 6);
  const places = readRows(values.places);
  const measure = new Map(readRows(values.measure).map(([place, why]) => [place, why]));
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} ${20 + 26 * Math.max(1, places.length)}`}
        width="100%"
        style={{ maxWidth: 640 }}
        role="img"
        aria-label={`${places.length} places, the highest first`}
      >
        {places.map(([place = '', shown], order) => (
          <g key={`${place} ${shown}`}>
            <text x={FROM - 8} y={26 + 26 * order} fontSize={13} textAnchor="end" fill={palette.text.primary}>
              {place.slice(0, 24)}
            </text>
            <rect
              x={FROM}
              y={13 + 26 * order}
              width={Math.max(2, ((WIDE - FROM - 190) * Number(shown)) / scale)}
              height={18}
              fill={palette.primary.main}
              opacity={0.25 + 0.75 * (1 - order / Math.max(1, places.length))}
            />
            <text
              x={FROM + 8 + ((WIDE - FROM - 190) * Number(shown)) / scale}
              y={27 + 26 * order}
              fontSize={13}
              fill={palette.text.primary}
            >
              {`${shown}${measure.has(place) ? `  measure: ${measure.get(place)}` : ''}`}
            </text>
          </g>
        ))}
      </svg>
      <Typography color="text.secondary">
        It compares places of one floor with one meter. It is no moisture of the slab, and nothing is accepted
        by it.
      </Typography>
    </Box>
  );
}
