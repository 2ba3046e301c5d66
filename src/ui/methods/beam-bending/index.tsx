'use client';
import type { PropsWithChildren } from 'react';
import { beamBending } from '@/core/methods/beam-bending';
import { BendBench } from '../bend/Bench';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: beamBending, Bench: BendBench });

export function InBeamBending({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
