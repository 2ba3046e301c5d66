'use client';
import { Typography } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { pipeCore } from '@/core/methods/pipe-core';
import { CoreDrawing } from '../../drawings/CoreDrawing';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

/** A core between its platens in its own proportions, and whether its shape has a factor. */
function PipeCoreBench({ picture: { values } }: BenchProps) {
  const ratio = typeof values.ratio === 'number' ? values.ratio : null;
  return (
    <>
      <CoreDrawing
        diameter={Number(values.diameter) || null}
        length={Number(values.length) || null}
        failure={null}
        angle={null}
        unit={String(values.unit)}
      />
      {ratio === null ? null : (
        <Typography sx={{ color: ratio < 1 ? 'error.main' : 'text.secondary' }}>
          {ratio < 1
            ? '✕ Shorter than wide: there is no factor for it.'
            : ratio > 1.75
              ? '✓ Long enough to need no factor.'
              : '✓ Its strength is taken to a cylinder twice as long as wide.'}
        </Typography>
      )}
    </>
  );
}

const FOLDER = wholeFolder({ method: pipeCore, Bench: PipeCoreBench });

export function InPipeCore({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
