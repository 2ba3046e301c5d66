'use client';
import type { PropsWithChildren } from 'react';
import { groutPrism } from '@/core/methods/grout-prism';
import { InFolder, wholeFolder } from '../holding';
import { GroutPrismBench } from './Bench';

const FOLDER = wholeFolder({
  method: groutPrism,
  Bench: GroutPrismBench,
});

export function InGroutPrism({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
