'use client';
import { Box, Typography } from '@mui/material';
import { dolliesOfBatch } from '@/core/methods/pull/glue';
import { durationText } from '@/core/windows/duration-text';
import type { BenchProps } from '../kit';

/** Minutes that one takes. Common practice, no source. */
const MINUTES_EACH = 2.5;

/** When the glue is hard at the coldest of the surface, and how many dollies stand in it. */
export function GluingBench({ picture: { values } }: BenchProps) {
  const hours = typeof values.hours === 'number' ? values.hours : null;
  return (
    <Box>
      <Typography color="text.secondary">Hard after</Typography>
      <Typography className="mono" sx={{ fontSize: '2rem' }}>
        {hours === null ? '…' : durationText(hours * 60)}
      </Typography>
      {values.cured ? <Typography>{`The last one can be pulled from ${values.cured}.`}</Typography> : null}
      <Typography color="text.secondary">
        {`${values.set} of ${values.of} set.${typeof values.life === 'number' ? ` The mix lives ${values.life} min: ${dolliesOfBatch(values.life, MINUTES_EACH)} dollies at a careful pace; then it is thrown away.` : ''} Ten degrees colder takes twice as long; below what its sheet says it never hardens.`}
      </Typography>
    </Box>
  );
}
