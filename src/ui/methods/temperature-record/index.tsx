'use client';
import type { PropsWithChildren } from 'react';
import { temperatureRecord } from '@/core/methods/temperature-record';
import { InFolder, wholeFolder } from '../holding';
import { TemperatureBench } from './Bench';

const FOLDER = wholeFolder({ method: temperatureRecord, Bench: TemperatureBench, benchStays: true });

export function InTemperatureRecord({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
