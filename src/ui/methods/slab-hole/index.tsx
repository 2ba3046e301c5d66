'use client';
import type { PropsWithChildren } from 'react';
import { slabHole } from '@/core/methods/slab-hole';
import { InFolder, wholeFolder } from '../holding';
import { SlabHoleBench } from './Bench';

const FOLDER = wholeFolder({ method: slabHole, Bench: SlabHoleBench });

export function InSlabHole({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
