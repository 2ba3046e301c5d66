'use client';
import type { PropsWithChildren } from 'react';
import { cementAir } from '@/core/methods/cement-air';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementAir, Bench: DeterminedBeside, benchStays: true });

export function InCementAir({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
