'use client';
import type { PropsWithChildren } from 'react';
import { densityYield } from '@/core/methods/density-yield';
import { InFolder, wholeFolder } from '../holding';
import { DensityYieldBench } from './Bench';

const FOLDER = wholeFolder({
  method: densityYield,
  Bench: DensityYieldBench,
});

export function InDensityYield({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
