'use client';
import type { PropsWithChildren } from 'react';
import { unitSawing } from '@/core/methods/unit-sawing';
import { InFolder, wholeFolder } from '../holding';
import { UnitSawingBench } from './Bench';

const FOLDER = wholeFolder({ method: unitSawing, Bench: UnitSawingBench });

export function InUnitSawing({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
