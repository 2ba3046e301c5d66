'use client';
import { Typography } from '@mui/material';
import { BoilLine } from '../drying/BoilLine';
import type { BenchProps } from '../kit';
import { listed } from '../listed';

/** The boil of halves of brick, and how many of them are weighed. */
export function BrickBoilBench(props: BenchProps) {
  const { labels, weighed } = props.picture.values;
  return (
    <>
      <BoilLine {...props} out="Out of the water: wipe, and weigh within five minutes" />
      <Typography variant="body2" color="text.secondary">
        {`${listed(weighed).length} of ${listed(labels).length} halves weighed after the boil`}
      </Typography>
    </>
  );
}
