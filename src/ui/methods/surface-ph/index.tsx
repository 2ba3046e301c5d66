'use client';
import type { PropsWithChildren } from 'react';
import { surfacePh } from '@/core/methods/surface-ph';
import { InFolder, wholeFolder } from '../holding';
import { SurfacePhBench } from './Bench';

const FOLDER = wholeFolder({ method: surfacePh, Bench: SurfacePhBench });

export function InSurfacePh({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
