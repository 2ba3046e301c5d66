'use client';
import type { PropsWithChildren } from 'react';
import { mortarMaking } from '@/core/methods/mortar-making';
import { InFolder, wholeFolder } from '../holding';
import { MortarMakingBench } from './Bench';

const FOLDER = wholeFolder({ method: mortarMaking, Bench: MortarMakingBench });

export function InMortarMaking({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
