'use client';
import type { PropsWithChildren } from 'react';
import { unitConditioning } from '@/core/methods/unit-conditioning';
import { InFolder, wholeFolder } from '../holding';
import { UnitConditioningBench } from './Bench';

const FOLDER = wholeFolder({ method: unitConditioning, Bench: UnitConditioningBench, benchStays: true });

export function InUnitConditioning({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
