'use client';
import type { PropsWithChildren } from 'react';
import { brickSize } from '@/core/methods/brick-size';
import { InFolder, wholeFolder } from '../holding';
import { BrickSizeBench } from './Bench';

const FOLDER = wholeFolder({ method: brickSize, Bench: BrickSizeBench });

export function InBrickSize({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
