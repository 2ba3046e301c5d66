'use client';
import type { PropsWithChildren } from 'react';
import { cementSieve } from '@/core/methods/cement-sieve';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementSieve, Bench: DeterminedBeside, benchStays: true });

export function InCementSieve({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
