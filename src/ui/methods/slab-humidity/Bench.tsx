'use client';
import { Box, Typography } from '@mui/material';
import type { BenchProps } from '../kit';
import { Course } from '../slab/Course';

/** The readings of one hole over the weeks with what its floor allows, what became of it since, and when it may be dry. */
export function SlabHumidityBench({ picture: { values } }: BenchProps) {
  return (
    <Box>
      <Course
        packed={values.readings}
        allowed={typeof values.allowed === 'number' ? values.allowed : null}
        of="this hole"
        unit="day"
        least={7}
      />
      {values.change ? <Typography sx={{ mb: 1 }}>{String(values.change)}</Typography> : null}
      {values.dry ? <Typography color="text.secondary">{String(values.dry)}</Typography> : null}
      {values.dew ? (
        <Typography color="text.secondary">{`The air of the room condenses at ${values.dew}.`}</Typography>
      ) : null}
    </Box>
  );
}
