'use client';
import type { PropsWithChildren } from 'react';
import { residualBeam } from '@/core/methods/residual-beam';
import { BendBench } from '../bend/Bench';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: residualBeam, Bench: BendBench });

export function InResidualBeam({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
