'use client';
import type { PropsWithChildren } from 'react';
import { surfaceProfile } from '@/core/methods/surface-profile';
import { InFolder, wholeFolder } from '../holding';
import { SurfaceProfileBench } from './Bench';

const FOLDER = wholeFolder({ method: surfaceProfile, Bench: SurfaceProfileBench });

export function InSurfaceProfile({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
