'use client';
import type { PropsWithChildren } from 'react';
import { notchedBeam } from '@/core/methods/notched-beam';
import { BendBench } from '../bend/Bench';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: notchedBeam, Bench: BendBench });

export function InNotchedBeam({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
