'use client';
import type { PropsWithChildren } from 'react';
import { ovenDrying } from '@/core/methods/oven-drying';
import { InFolder, wholeFolder } from '../holding';
import { OvenDryingBench } from './Bench';

const FOLDER = wholeFolder({ method: ovenDrying, Bench: OvenDryingBench, benchStays: true });

export function InOvenDrying({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
