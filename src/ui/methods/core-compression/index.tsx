'use client';
import type { PropsWithChildren } from 'react';
import { coreCompression } from '@/core/methods/core-compression';
import { InFolder, wholeFolder } from '../holding';
import { CoreBench } from './Bench';

const FOLDER = wholeFolder({
  method: coreCompression,
  Bench: CoreBench,
});

export function InCoreCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
