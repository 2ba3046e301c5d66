'use client';
import type { PropsWithChildren } from 'react';
import { serviceRecord } from '@/core/methods/service-record';
import { InFolder, wholeFolder } from '../holding';
import { ServiceRecordBench } from './Bench';

const FOLDER = wholeFolder({ method: serviceRecord, Bench: ServiceRecordBench });

export function InServiceRecord({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
