'use client';
import type { PropsWithChildren } from 'react';
import { cementDensity } from '@/core/methods/cement-density';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementDensity, Bench: DeterminedBeside, benchStays: true });

export function InCementDensity({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
