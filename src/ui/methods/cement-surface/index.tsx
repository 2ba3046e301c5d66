'use client';
import type { PropsWithChildren } from 'react';
import { cementSurface } from '@/core/methods/cement-surface';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementSurface, Bench: DeterminedBeside, benchStays: true });

export function InCementSurface({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
