'use client';
import type { PropsWithChildren } from 'react';
import { hardenedDensity } from '@/core/methods/hardened-density';
import { InFolder, wholeFolder } from '../holding';
import { HardenedDensityBench } from './Bench';

const FOLDER = wholeFolder({ method: hardenedDensity, Bench: HardenedDensityBench });

export function InHardenedDensity({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
