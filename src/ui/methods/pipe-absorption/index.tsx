'use client';
import { Box } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { pipeAbsorption } from '@/core/methods/pipe-absorption';
import { BoilLine } from '../drying/BoilLine';
import { Oven } from '../drying/Oven';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

/** The piece in the oven, then its boil and cooling on one line. */
function AbsorptionBench(props: BenchProps) {
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Oven {...props} />
      {props.picture.values.heatAt ? (
        <BoilLine {...props} out="Out of the water: a minute on the rack, wipe it, weigh it" />
      ) : null}
    </Box>
  );
}

const FOLDER = wholeFolder({ method: pipeAbsorption, Bench: AbsorptionBench, benchStays: true });

export function InPipeAbsorption({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
