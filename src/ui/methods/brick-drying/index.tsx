'use client';
import type { PropsWithChildren } from 'react';
import { brickDrying } from '@/core/methods/brick-drying';
import { Oven } from '../drying/Oven';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: brickDrying, Bench: Oven });

export function InBrickDrying({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
