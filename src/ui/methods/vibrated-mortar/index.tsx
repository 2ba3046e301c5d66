'use client';
import type { PropsWithChildren } from 'react';
import { vibratedMortar } from '@/core/methods/vibrated-mortar';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: vibratedMortar, Bench: DeterminedBeside, benchStays: true });

export function InVibratedMortar({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
