'use client';
import type { PropsWithChildren } from 'react';
import { cementNeedles } from '@/core/methods/cement-needles';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementNeedles, Bench: DeterminedBeside, benchStays: true });

export function InCementNeedles({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
