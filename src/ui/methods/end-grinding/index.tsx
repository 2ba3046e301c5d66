'use client';
import type { PropsWithChildren } from 'react';
import { endGrinding } from '@/core/methods/end-grinding';
import { InFolder, wholeFolder } from '../holding';
import { EndGrindingBench } from './Bench';

const FOLDER = wholeFolder({
  method: endGrinding,
  Bench: EndGrindingBench,
});

export function InEndGrinding({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
