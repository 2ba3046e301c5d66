'use client';
import type { PropsWithChildren } from 'react';
import { brickFlexure } from '@/core/methods/brick-flexure';
import { InFolder, wholeFolder } from '../holding';
import { BrickFlexureBench } from './Bench';

const FOLDER = wholeFolder({ method: brickFlexure, Bench: BrickFlexureBench });

export function InBrickFlexure({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
