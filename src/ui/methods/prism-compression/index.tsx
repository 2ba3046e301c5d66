'use client';
import type { PropsWithChildren } from 'react';
import { prismCompression } from '@/core/methods/prism-compression';
import { InFolder, wholeFolder } from '../holding';
import { PrismCompressionBench } from './Bench';

const FOLDER = wholeFolder({ method: prismCompression, Bench: PrismCompressionBench });

export function InPrismCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
