'use client';
import type { PropsWithChildren } from 'react';
import { pullOff } from '@/core/methods/pull-off';
import { InFolder, wholeFolder } from '../holding';
import { PullOffBench } from './Bench';
import { DollyChooser } from './DollyChooser';
import { FacePainter } from './FacePainter';
import { LivePull } from './LivePull';

const FOLDER = wholeFolder({
  method: pullOff,
  Bench: PullOffBench,
  instruments: { tester: DollyChooser, pull: LivePull, face: FacePainter },
});

export function InPullOff({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
