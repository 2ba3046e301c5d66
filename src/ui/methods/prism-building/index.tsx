'use client';
import type { PropsWithChildren } from 'react';
import { prismBuilding } from '@/core/methods/prism-building';
import { InFolder, wholeFolder } from '../holding';
import { PrismBuildingBench } from './Bench';

const FOLDER = wholeFolder({ method: prismBuilding, Bench: PrismBuildingBench });

export function InPrismBuilding({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
