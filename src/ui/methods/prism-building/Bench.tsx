'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The prism in its bag, course by course, to the shape it will have. */
export function PrismBuildingBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const courses = Math.max(2, Math.min(8, Number(values.courses) || 2));
  const ratio = Number(values.ratio) || 2;
  const [wide, high] = [90, Math.min(200, 90 * ratio)];
  const each = high / courses;
  const top = 216 - high;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end', flexWrap: 'wrap' }}>
      <svg
        viewBox="0 0 200 230"
        width={180}
        height={207}
        role="img"
        aria-label={`A prism of ${courses} courses`}
      >
        <path d="M10 218h180" stroke={palette.text.primary} strokeWidth={3} />
        <path
          d={
            values.bagged
              ? `M40 217V${top - 8}q60 -14 120 0V217`
              : 'M36 217q-14 -14 -8 -22M164 217q14 -14 8 -22'
          }
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={2}
          strokeDasharray="5 3"
        />
        {Array.from({ length: courses }, (_, course) => top + course * each).map((y) => (
          <rect
            key={y}
            x={55}
            y={y}
            width={wide}
            height={each - 3}
            fill={values.grouted ? palette.text.disabled : palette.divider}
            stroke={palette.text.primary}
          />
        ))}
      </svg>
      <Box>
        <Typography sx={{ fontWeight: 700 }}>
          {values.ratio
            ? `${Number(values.ratio).toFixed(2)} times as high as thick`
            : 'Sizes of the units are not known'}
        </Typography>
        <Typography color="text.secondary">
          {values.moved
            ? 'In the laboratory.'
            : values.bagged
              ? 'Bag closed: two days without a touch.'
              : 'The bag stays open under it until the last unit is laid.'}
        </Typography>
      </Box>
    </Box>
  );
}
