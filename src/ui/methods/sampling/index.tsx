'use client';
import type { PropsWithChildren } from 'react';
import { sampling } from '@/core/methods/sampling';
import { InFolder, wholeFolder } from '../holding';
import { SamplingBench } from './Bench';

const FOLDER = wholeFolder({
  method: sampling,
  Bench: SamplingBench,
});

export function InSampling({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
