'use client';
import type { PropsWithChildren } from 'react';
import { slabHumidity } from '@/core/methods/slab-humidity';
import { InFolder, wholeFolder } from '../holding';
import { SlabHumidityBench } from './Bench';

const FOLDER = wholeFolder({ method: slabHumidity, Bench: SlabHumidityBench });

export function InSlabHumidity({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
