'use client';
import type { PropsWithChildren } from 'react';
import { cementGillmore } from '@/core/methods/cement-gillmore';
import { LooksAtPat } from '../../cement/LooksAtPat';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementGillmore, Bench: LooksAtPat, benchStays: true });

export function InCementGillmore({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
