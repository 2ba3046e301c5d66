'use client';
import type { PropsWithChildren } from 'react';
import { slabEmission } from '@/core/methods/slab-emission';
import { InFolder, wholeFolder } from '../holding';
import { SlabEmissionBench } from './Bench';

const FOLDER = wholeFolder({ method: slabEmission, Bench: SlabEmissionBench });

export function InSlabEmission({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
