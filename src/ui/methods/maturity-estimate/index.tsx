'use client';
import type { PropsWithChildren } from 'react';
import { maturityEstimate } from '@/core/methods/maturity-estimate';
import { InFolder, wholeFolder } from '../holding';
import { CurveBench } from '../maturity/CurveBench';

const FOLDER = wholeFolder({ method: maturityEstimate, Bench: CurveBench, benchStays: true });

export function InMaturityEstimate({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
