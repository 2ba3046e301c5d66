'use client';
import type { PropsWithChildren } from 'react';
import { brickAbsorption } from '@/core/methods/brick-absorption';
import { InFolder, wholeFolder } from '../holding';
import { BrickAbsorptionBench } from './Bench';

const FOLDER = wholeFolder({ method: brickAbsorption, Bench: BrickAbsorptionBench });

export function InBrickAbsorption({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
