'use client';
import type { PropsWithChildren } from 'react';
import { ovenDrying } from '@/core/methods/oven-drying';
import { Oven } from '../drying/Oven';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: ovenDrying, Bench: Oven, benchStays: true });

export function InOvenDrying({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
