'use client';
import type { PropsWithChildren } from 'react';
import { cementPrisms } from '@/core/methods/cement-prisms';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementPrisms, Bench: DeterminedBeside, benchStays: true });

export function InCementPrisms({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
