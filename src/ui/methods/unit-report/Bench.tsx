'use client';
import { Typography } from '@mui/material';
import type { BenchProps } from '../kit';

/** Which report it is taken from: it is quoted, nothing was tested here. */
export function UnitReportBench({ picture }: BenchProps) {
  const { number, laboratory } = picture.values;
  return (
    <Typography color="text.secondary">
      {number || laboratory
        ? `Quoted from report ${[number, laboratory].filter(Boolean).join(', ')}. Attach it where you have it.`
        : 'A property that is tested elsewhere: its value stands with the number of its report.'}
    </Typography>
  );
}
