'use client';
import { Box, Typography } from '@mui/material';
import type { BenchProps } from '../kit';
import { Course } from '../slab/Course';

/** The readings of a box from its third day on, and whether they have come to rest. */
export function SurfaceHoodBench({ picture: { values } }: BenchProps) {
  return (
    <Box>
      <Course
        packed={values.readings}
        allowed={typeof values.allowed === 'number' ? values.allowed : null}
        of="this box"
        unit="hour"
        least={24}
      />
      <Typography>
        {values.steady === true
          ? 'It has come to rest: two readings a day apart agree.'
          : values.readings
            ? 'It still moves: read it again a day later.'
            : 'No reading counts before the end of the third day.'}
      </Typography>
    </Box>
  );
}
