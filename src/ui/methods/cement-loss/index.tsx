'use client';
import type { PropsWithChildren } from 'react';
import { cementLoss } from '@/core/methods/cement-loss';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementLoss, Bench: DeterminedBeside, benchStays: true });

export function InCementLoss({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
