'use client';
import type { PropsWithChildren } from 'react';
import { airVolumetric } from '@/core/methods/air-volumetric';
import { InFolder, wholeFolder } from '../holding';
import { AirVolumetricBench } from './Bench';

const FOLDER = wholeFolder({
  method: airVolumetric,
  Bench: AirVolumetricBench,
});

export function InAirVolumetric({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
