'use client';
import type { PropsWithChildren } from 'react';
import { beamThirdPoint } from '@/core/methods/beam-third-point';
import { BeamBench } from '../beam/Bench';
import { BrokenBeam } from '../beam/BrokenBeam';
import { OnTheMachine } from '../beam/OnTheMachine';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({
  method: beamThirdPoint,
  Bench: BeamBench,
  Broken: BrokenBeam,
  instruments: { fixture: OnTheMachine },
});

export function InBeamThirdPoint({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
