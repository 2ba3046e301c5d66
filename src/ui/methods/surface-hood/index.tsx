'use client';
import type { PropsWithChildren } from 'react';
import { surfaceHood } from '@/core/methods/surface-hood';
import { InFolder, wholeFolder } from '../holding';
import { SurfaceHoodBench } from './Bench';

const FOLDER = wholeFolder({ method: surfaceHood, Bench: SurfaceHoodBench });

export function InSurfaceHood({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
