'use client';
import type { PropsWithChildren } from 'react';
import { initialCuring } from '@/core/methods/initial-curing';
import { InFolder, wholeFolder } from '../holding';
import { InitialCuringBench } from './Bench';

const FOLDER = wholeFolder({
  method: initialCuring,
  Bench: InitialCuringBench,
});

export function InInitialCuring({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
