'use client';
import type { PropsWithChildren } from 'react';
import { groutMaking } from '@/core/methods/grout-making';
import { InFolder, wholeFolder } from '../holding';
import { GroutMakingBench } from './Bench';

const FOLDER = wholeFolder({ method: groutMaking, Bench: GroutMakingBench });

export function InGroutMaking({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
