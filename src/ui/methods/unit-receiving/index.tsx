'use client';
import type { PropsWithChildren } from 'react';
import { unitReceiving } from '@/core/methods/unit-receiving';
import { InFolder, wholeFolder } from '../holding';
import { UnitReceivingBench } from './Bench';

const FOLDER = wholeFolder({ method: unitReceiving, Bench: UnitReceivingBench, benchStays: true });

export function InUnitReceiving({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
