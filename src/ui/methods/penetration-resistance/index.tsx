'use client';
import type { PropsWithChildren } from 'react';
import { penetrationResistance } from '@/core/methods/penetration-resistance';
import { InFolder, wholeFolder } from '../holding';
import { ResistancePlot } from './ResistancePlot';

const FOLDER = wholeFolder({ method: penetrationResistance, Bench: ResistancePlot, benchStays: true });

export function InPenetrationResistance({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
