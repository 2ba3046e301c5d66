'use client';
import type { PropsWithChildren } from 'react';
import { unitReport } from '@/core/methods/unit-report';
import { InFolder, wholeFolder } from '../holding';
import { UnitReportBench } from './Bench';

const FOLDER = wholeFolder({ method: unitReport, Bench: UnitReportBench });

export function InUnitReport({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
