'use client';
import type { PropsWithChildren } from 'react';
import { impedance } from '@/core/methods/impedance';
import { InFolder, wholeFolder } from '../holding';
import { ImpedanceBench } from './Bench';

const FOLDER = wholeFolder({ method: impedance, Bench: ImpedanceBench });

export function InImpedance({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
