'use client';
import type { PropsWithChildren } from 'react';
import { moulding } from '@/core/methods/moulding';
import { InFolder, wholeFolder } from '../holding';
import { MouldingBench } from './Bench';

const FOLDER = wholeFolder({
  method: moulding,
  Bench: MouldingBench,
});

export function InMoulding({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
