'use client';
import type { PropsWithChildren } from 'react';
import { maturityCalibration } from '@/core/methods/maturity-calibration';
import { InFolder, wholeFolder } from '../holding';
import { CurveBench } from '../maturity/CurveBench';

const FOLDER = wholeFolder({ method: maturityCalibration, Bench: CurveBench, benchStays: true });

export function InMaturityCalibration({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
