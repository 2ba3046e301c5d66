'use client';
import type { PropsWithChildren } from 'react';
import { threeEdge } from '@/core/methods/three-edge';
import { InFolder, wholeFolder } from '../holding';
import { ThreeEdgeBench } from './Bench';
import { LivePipe } from './LivePipe';
import { ProbeCrack } from './ProbeCrack';

const FOLDER = wholeFolder({
  method: threeEdge,
  Bench: ThreeEdgeBench,
  leads: { load: LivePipe, crack: ProbeCrack, end: LivePipe },
});

export function InThreeEdge({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
