'use client';
import type { PropsWithChildren } from 'react';
import { slumpFlow } from '@/core/methods/slump-flow';
import { InFolder, wholeFolder } from '../holding';
import { SlumpFlowBench } from './Bench';

const FOLDER = wholeFolder({
  method: slumpFlow,
  Bench: SlumpFlowBench,
});

export function InSlumpFlow({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
