'use client';
import type { PropsWithChildren } from 'react';
import { evaporation } from '@/core/methods/evaporation';
import { InFolder, wholeFolder } from '../holding';
import { EvaporationBench } from './Bench';

const FOLDER = wholeFolder({
  method: evaporation,
  Bench: EvaporationBench,
});

export function InEvaporation({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
