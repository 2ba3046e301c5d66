'use client';
import type { PropsWithChildren } from 'react';
import { concreteTemperature } from '@/core/methods/concrete-temperature';
import { InFolder, wholeFolder } from '../holding';
import { TemperatureBench } from './Bench';

const FOLDER = wholeFolder({
  method: concreteTemperature,
  Bench: TemperatureBench,
});

export function InConcreteTemperature({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
