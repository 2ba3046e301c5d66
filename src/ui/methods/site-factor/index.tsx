'use client';
import type { PropsWithChildren } from 'react';
import { siteFactor } from '@/core/methods/site-factor';
import { InFolder, wholeFolder } from '../holding';
import { SiteFactorBench } from './Bench';

const FOLDER = wholeFolder({ method: siteFactor, Bench: SiteFactorBench, benchStays: true });

export function InSiteFactor({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
