'use client';
import type { PropsWithChildren } from 'react';
import { rockWater } from '@/core/methods/rock-water';
import { Oven } from '../drying/Oven';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: rockWater, Bench: Oven, benchStays: true });

export function InRockWater({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
