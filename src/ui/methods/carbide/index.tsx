'use client';
import type { PropsWithChildren } from 'react';
import { carbide } from '@/core/methods/carbide';
import { InFolder, wholeFolder } from '../holding';
import { CarbideBench } from './Bench';

const FOLDER = wholeFolder({ method: carbide, Bench: CarbideBench });

export function InCarbide({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
