'use client';
import type { PropsWithChildren } from 'react';
import { beamCentrePoint } from '@/core/methods/beam-centre-point';
import { BeamBench } from '../beam/Bench';
import { BrokenBeam } from '../beam/BrokenBeam';
import { OnTheMachine } from '../beam/OnTheMachine';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({
  method: beamCentrePoint,
  Bench: BeamBench,
  Broken: BrokenBeam,
  instruments: { fixture: OnTheMachine },
});

export function InBeamCentrePoint({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
