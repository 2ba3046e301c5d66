'use client';
import type { PropsWithChildren } from 'react';
import { maturityDatum } from '@/core/methods/maturity-datum';
import { InFolder, wholeFolder } from '../holding';
import { CementSpeedBench } from './Bench';

const FOLDER = wholeFolder({ method: maturityDatum, Bench: CementSpeedBench, benchStays: true });

export function InMaturityDatum({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
