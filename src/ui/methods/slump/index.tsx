'use client';
import type { PropsWithChildren } from 'react';
import { slump } from '@/core/methods/slump';
import { InFolder, wholeFolder } from '../holding';
import { SlumpBench } from './Bench';

const FOLDER = wholeFolder({
  method: slump,
  Bench: SlumpBench,
});

export function InSlump({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
