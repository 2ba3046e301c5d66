'use client';
import type { PropsWithChildren } from 'react';
import { unitAbsorption } from '@/core/methods/unit-absorption';
import { InFolder, wholeFolder } from '../holding';
import { UnitAbsorptionBench } from './Bench';

const FOLDER = wholeFolder({ method: unitAbsorption, Bench: UnitAbsorptionBench });

export function InUnitAbsorption({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
