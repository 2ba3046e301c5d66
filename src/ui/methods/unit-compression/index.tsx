'use client';
import type { PropsWithChildren } from 'react';
import { unitCompression } from '@/core/methods/unit-compression';
import { InFolder, wholeFolder } from '../holding';
import { UnitCompressionBench } from './Bench';

const FOLDER = wholeFolder({ method: unitCompression, Bench: UnitCompressionBench });

export function InUnitCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
