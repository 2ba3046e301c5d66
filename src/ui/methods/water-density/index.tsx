'use client';
import type { PropsWithChildren } from 'react';
import { waterDensity } from '@/core/methods/water-density';
import { InFolder, wholeFolder } from '../holding';
import { WaterDensityBench } from './Bench';

const FOLDER = wholeFolder({ method: waterDensity, Bench: WaterDensityBench });

export function InWaterDensity({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
