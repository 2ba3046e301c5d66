'use client';
import type { PropsWithChildren } from 'react';
import { unitSoak } from '@/core/methods/unit-soak';
import { InFolder, wholeFolder } from '../holding';
import { UnitSoakBench } from './Bench';

const FOLDER = wholeFolder({ method: unitSoak, Bench: UnitSoakBench, benchStays: true });

export function InUnitSoak({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
