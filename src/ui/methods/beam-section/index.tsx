'use client';
import type { PropsWithChildren } from 'react';
import { beamSection } from '@/core/methods/beam-section';
import { InFolder, wholeFolder } from '../holding';
import { BeamSectionBench } from './Bench';
import { CountStones } from './CountStones';

const FOLDER = wholeFolder({
  method: beamSection,
  Bench: BeamSectionBench,
  instruments: { count: CountStones },
});

export function InBeamSection({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
