'use client';
import type { PropsWithChildren } from 'react';
import { splittingTensile } from '@/core/methods/splitting-tensile';
import { InFolder, wholeFolder } from '../holding';
import { SplittingBench } from './Bench';

const FOLDER = wholeFolder({
  method: splittingTensile,
  Bench: SplittingBench,
});

export function InSplittingTensile({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
