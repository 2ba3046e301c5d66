'use client';
import type { PropsWithChildren } from 'react';
import { pipeYear } from '@/core/methods/pipe-year';
import { InFolder, wholeFolder } from '../holding';
import { PipeYearBench } from './Bench';

const FOLDER = wholeFolder({ method: pipeYear, Bench: PipeYearBench, benchStays: true });

export function InPipeYear({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
