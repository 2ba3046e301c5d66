'use client';
import type { PropsWithChildren } from 'react';
import { airPressure } from '@/core/methods/air-pressure';
import { InFolder, wholeFolder } from '../holding';
import { AirPressureBench } from './Bench';

const FOLDER = wholeFolder({
  method: airPressure,
  Bench: AirPressureBench,
});

export function InAirPressure({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
