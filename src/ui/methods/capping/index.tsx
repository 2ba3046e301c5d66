'use client';
import type { PropsWithChildren } from 'react';
import { capping } from '@/core/methods/capping';
import { InFolder, wholeFolder } from '../holding';
import { CappingBench } from './Bench';

const FOLDER = wholeFolder({
  method: capping,
  Bench: CappingBench,
});

export function InCapping({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
