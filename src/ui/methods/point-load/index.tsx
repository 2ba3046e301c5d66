'use client';
import type { PropsWithChildren } from 'react';
import { pointLoad } from '@/core/methods/point-load';
import { InFolder, wholeFolder } from '../holding';
import { LumpAdvisor } from './Advisor';
import { PointLoadBench } from './Bench';
import { PointLoadGroup } from './Group';
import { LoadClock } from './LoadClock';

const FOLDER = wholeFolder({
  method: pointLoad,
  Bench: PointLoadBench,
  instruments: { measure: LumpAdvisor, load: LoadClock },
  Group: PointLoadGroup,
  benchStays: true,
});

export function InPointLoad({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
