'use client';
import type { PropsWithChildren } from 'react';
import { rockDrying } from '@/core/methods/rock-drying';
import { Oven } from '../drying/Oven';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: rockDrying, Bench: Oven });

export function InRockDrying({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
