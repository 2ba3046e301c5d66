'use client';
import type { PropsWithChildren } from 'react';
import { beamArrival } from '@/core/methods/beam-arrival';
import { InFolder, wholeFolder } from '../holding';
import { BeamArrivalBench } from './Bench';

const FOLDER = wholeFolder({ method: beamArrival, Bench: BeamArrivalBench });

export function InBeamArrival({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
