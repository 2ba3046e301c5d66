'use client';
import type { PropsWithChildren } from 'react';
import { brickEfflorescence } from '@/core/methods/brick-efflorescence';
import { InFolder, wholeFolder } from '../holding';
import { BrickEfflorescenceBench } from './Bench';

const FOLDER = wholeFolder({ method: brickEfflorescence, Bench: BrickEfflorescenceBench });

export function InBrickEfflorescence({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
