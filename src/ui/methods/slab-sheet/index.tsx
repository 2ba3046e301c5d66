'use client';
import type { PropsWithChildren } from 'react';
import { slabSheet } from '@/core/methods/slab-sheet';
import { InFolder, wholeFolder } from '../holding';
import { SlabSheetBench } from './Bench';

const FOLDER = wholeFolder({ method: slabSheet, Bench: SlabSheetBench });

export function InSlabSheet({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
