'use client';
import type { PropsWithChildren } from 'react';
import { brickBoil } from '@/core/methods/brick-boil';
import { InFolder, wholeFolder } from '../holding';
import { BrickBoilBench } from './Bench';

const FOLDER = wholeFolder({ method: brickBoil, Bench: BrickBoilBench });

export function InBrickBoil({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
