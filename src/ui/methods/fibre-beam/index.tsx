'use client';
import type { PropsWithChildren } from 'react';
import { fibreBeam } from '@/core/methods/fibre-beam';
import { BendBench } from '../bend/Bench';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: fibreBeam, Bench: BendBench });

export function InFibreBeam({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
