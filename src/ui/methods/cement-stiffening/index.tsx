'use client';
import type { PropsWithChildren } from 'react';
import { cementStiffening } from '@/core/methods/cement-stiffening';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementStiffening, Bench: DeterminedBeside, benchStays: true });

export function InCementStiffening({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
